/** The operation that gives a member another type, with everything that holds its value. */
package paredown.refactor.operation.changetype;
