/** The operation that makes a field of a parameter which every caller passes alike. */
package paredown.refactor.operation.parameterfield;
