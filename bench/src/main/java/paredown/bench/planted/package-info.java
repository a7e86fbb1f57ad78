/** Smells that are planted on copies of real code, and whether the detectors find them again. */
package paredown.bench.planted;
