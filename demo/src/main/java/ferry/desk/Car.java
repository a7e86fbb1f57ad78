package ferry.desk;

/** A car on the deck. */
public record Car(String plate, int lengthCm, boolean trailer) {}
