/** Where everything of the user's code is: builds, source roots, class path, how tests are run. */
package paredown.project;
