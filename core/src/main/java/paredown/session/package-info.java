/** The use cases that a front end calls: survey, why, preview, apply, undo. */
package paredown.session;
