/** Measurements and sweeps over real libraries; slow, and no part of the tests. */
package paredown.bench;
