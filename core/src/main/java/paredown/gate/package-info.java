/** Checks that a change must pass before it may stay. */
package paredown.gate;
