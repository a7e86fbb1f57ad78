/** The operations that take away what nothing uses: members, and parameters. */
package paredown.refactor.operation.remove;
