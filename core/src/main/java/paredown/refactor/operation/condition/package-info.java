/** Conditions in another form that answers the same: turned round, or two joined into one. */
package paredown.refactor.operation.condition;
