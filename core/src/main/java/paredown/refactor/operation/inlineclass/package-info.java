/** The operation that puts what a class has where it is used, and takes the class away. */
package paredown.refactor.operation.inlineclass;
