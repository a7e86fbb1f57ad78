package paredown.measure;

/**
 * A tie is an edge between two members. It is told by its number, not by its place in memory, so
 * that what looks at ties one after the other comes to the same each time.
 */
record Tie(int number) {}
