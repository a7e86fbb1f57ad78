/** Rename: a declaration, and all that means it, gets another name. */
package paredown.refactor.operation.rename;
