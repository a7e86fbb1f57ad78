/** The compact graph of types, members and uses that everything that finds works on. */
package paredown.facts;
