/**
 * Names: what is in sight at a place, how it is written there, and what must be opened to be seen.
 */
package paredown.refactor.name;
