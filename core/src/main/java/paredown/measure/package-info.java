/** Metrics over the facts, each with the publication that it comes from. */
package paredown.measure;
