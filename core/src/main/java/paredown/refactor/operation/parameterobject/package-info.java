/** The operation that makes one object of parameters that are passed together. */
package paredown.refactor.operation.parameterobject;
