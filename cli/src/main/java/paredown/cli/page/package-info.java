/** A survey as one page that opens without network. */
package paredown.cli.page;
