/** Commits and what they touched, from version control. */
package paredown.history;
