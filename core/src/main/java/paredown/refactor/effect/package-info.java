/** Effects: what running code reads, changes, prints and throws, implicit calls included. */
package paredown.refactor.effect;
