/** Facts that are kept from one survey to the next, so that only what changed is read again. */
package paredown.facts.kept;
