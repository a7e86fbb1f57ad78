/** The command line: one class a command, and what turns answers into text and JSON. */
package paredown.cli;
