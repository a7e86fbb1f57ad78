/** Sources as they are while somebody edits them: mutated by seed, and never a fault of pare. */
package paredown.bench.mutate;
