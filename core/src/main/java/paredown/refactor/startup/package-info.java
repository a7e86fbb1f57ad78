/** Startup: what runs before an object or a class is ready, and what is set only then. */
package paredown.refactor.startup;
