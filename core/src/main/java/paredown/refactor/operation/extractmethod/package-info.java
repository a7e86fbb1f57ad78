/** The operation that makes a method of some statements, or of an expression. */
package paredown.refactor.operation.extractmethod;
