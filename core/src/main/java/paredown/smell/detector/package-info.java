/** One class for each smell: what it finds in the facts, how bad it is, and why. */
package paredown.smell.detector;
