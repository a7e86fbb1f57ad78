/** What a finding is: a smell at a place, with its evidence, and the grounds to judge it on. */
package paredown.smell;
