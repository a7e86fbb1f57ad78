/** The operations, each in a package of its own, and their register. */
package paredown.refactor.operation;
