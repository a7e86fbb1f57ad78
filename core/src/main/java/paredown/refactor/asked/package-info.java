/** How operations are asked for: their words, arguments, options and help, each declared once. */
package paredown.refactor.asked;
