/**
 * Uses: a class to take apart with its members, who uses them, and what ties them where they are.
 */
package paredown.refactor.use;
