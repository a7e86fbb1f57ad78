/** The operation that takes a type with its file to another package. */
package paredown.refactor.operation.movetype;
