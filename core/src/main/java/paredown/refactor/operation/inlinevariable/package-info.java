/** The operation that says the value of a variable where the variable was used. */
package paredown.refactor.operation.inlinevariable;
