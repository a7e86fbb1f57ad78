/** Where a sweep tries an operation: the places of a project, drawn by seed, as commands. */
package paredown.bench.sites;
