/**
 * Code that says the same as other code, and the names, literals and fields in which it differs.
 */
package paredown.refactor.alike;
