/** Nulls: whether an object is surely there where something is asked of it. */
package paredown.refactor.nulls;
