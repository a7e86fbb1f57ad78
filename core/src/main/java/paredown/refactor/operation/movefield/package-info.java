/** The operation that moves a static field to another class. */
package paredown.refactor.operation.movefield;
