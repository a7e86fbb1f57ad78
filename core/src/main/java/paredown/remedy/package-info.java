/** From findings to refactorings that would cure them, with measured effect. */
package paredown.remedy;
