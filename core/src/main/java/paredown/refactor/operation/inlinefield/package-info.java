/** The operation that says the value of a field where the field was read. */
package paredown.refactor.operation.inlinefield;
