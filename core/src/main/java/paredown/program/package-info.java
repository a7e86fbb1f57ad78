/** The project as the compiler understands it: attributed trees, symbols, and what names mean. */
package paredown.program;
