/** Behaviour-preserving operations: arguments and a program in, a change or a refusal out. */
package paredown.refactor;
