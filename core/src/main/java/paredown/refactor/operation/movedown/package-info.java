/** The operation that takes members of a class down to one below it that alone uses them. */
package paredown.refactor.operation.movedown;
