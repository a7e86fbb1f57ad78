/** The operation that takes what classes have in common up to a superclass. */
package paredown.refactor.operation.superclass;
