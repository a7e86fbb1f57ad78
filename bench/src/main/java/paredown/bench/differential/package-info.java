/** The differential oracle: small programs, run before and after a change, must say the same. */
package paredown.bench.differential;
