/** A new class between classes and the one that they extend, which has no members yet. */
package paredown.refactor.operation.superclass.between;
