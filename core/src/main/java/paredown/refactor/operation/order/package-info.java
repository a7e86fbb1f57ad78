/** Order: the members of a class stand in the order in which they are read. */
package paredown.refactor.operation.order;
