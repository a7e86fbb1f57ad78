/** The operation that puts the code of a method where the method is called. */
package paredown.refactor.operation.inlinemethod;
