/** Quick tests: those that reach a change, in one process, without the build. */
package paredown.gate.quick;
