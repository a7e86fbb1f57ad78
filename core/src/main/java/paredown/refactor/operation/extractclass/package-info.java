/** Extract class: fields and methods of a class become a class of their own. */
package paredown.refactor.operation.extractclass;
