/** The operations that give a name to a value: a local variable, or a constant. */
package paredown.refactor.operation.extractvariable;
