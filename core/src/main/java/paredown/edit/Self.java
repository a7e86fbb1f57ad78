package paredown.edit;

/**
 * What an instance has become: code that said {@code this} of one class says it of another now.
 *
 * @param oldType binary name of the class it was
 * @param newType binary name of the class it is
 */
public record Self(String oldType, String newType) {}
