/** The operation that makes a type of a bare number or string. */
package paredown.refactor.operation.value;
