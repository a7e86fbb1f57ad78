/** Changes to source text in which every character knows where it comes from. */
package paredown.edit;
