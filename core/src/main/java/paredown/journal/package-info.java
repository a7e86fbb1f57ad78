/** A change onto the disk, whole or not at all; undo; recovery after a crash. */
package paredown.journal;
