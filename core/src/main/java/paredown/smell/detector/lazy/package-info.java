/** Lazy classes: a file for each way to do too little. */
package paredown.smell.detector.lazy;
