/** Carrying: what code needs of the place it leaves, and how it is laid out where it lands. */
package paredown.refactor.carry;
