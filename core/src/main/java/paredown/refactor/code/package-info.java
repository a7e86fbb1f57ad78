/** Code as it is written: trees, ranges of members, modifiers, words. */
package paredown.refactor.code;
