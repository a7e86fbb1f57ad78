/** The operation that makes a builder of constructors that grow by a parameter at a time. */
package paredown.refactor.operation.builder;
