/** Source text as it stands on the disk: characters, tokens, lines, encodings. */
package paredown.text;
