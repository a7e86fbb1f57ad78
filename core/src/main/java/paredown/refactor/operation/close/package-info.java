/** The step that makes members private again where only their new class uses them. */
package paredown.refactor.operation.close;
