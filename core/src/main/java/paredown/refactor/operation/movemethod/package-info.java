/** Move method: a method goes to the class of an object that it asks. */
package paredown.refactor.operation.movemethod;
