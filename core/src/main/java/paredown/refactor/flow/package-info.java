/** The order in which the code of a body runs, and what may run at another time of it. */
package paredown.refactor.flow;
