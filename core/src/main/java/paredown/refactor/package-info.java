/** Refactorings: behaviour-preserving operations with their arguments filled in, or refused. */
package paredown.refactor;
