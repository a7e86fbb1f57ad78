package paredown.refactor.operation.extractclass;

import java.util.List;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.name.Sight;
import paredown.refactor.use.OwnerClass;

/**
 * A class that an extraction makes.
 *
 * @param name its simple name
 * @param place where it is put
 */
record NewClass(OwnerClass owner, String name, Place place) {

  /** Where a new class is put. */
  sealed interface Place {
    /** In the package of the old class. */
    record Beside() implements Place {}

    /** Within the old class. */
    record Nested() implements Place {}

    /** In another package. */
    record Elsewhere(String packageName) implements Place {}
  }

  /** A class where it is wished. */
  static NewClass of(OwnerClass owner, String name, ExtractClass.Wishes wishes) {
    Place place =
        wishes.nested()
            ? new Place.Nested()
            : wishes
                .inPackage()
                .filter(each -> !each.equals(owner.packageName()))
                .map(each -> (Place) new Place.Elsewhere(each))
                .orElse(new Place.Beside());
    return new NewClass(owner, name, place);
  }

  boolean nested() {
    return place instanceof Place.Nested;
  }

  /** Whether it is in another package, so that the old class sees only what is public. */
  boolean elsewhere() {
    return place instanceof Place.Elsewhere;
  }

  String packageName() {
    return place instanceof Place.Elsewhere other ? other.packageName() : owner.packageName();
  }

  String binaryName() {
    return nested() ? owner.binaryName() + "$" + name : qualifiedName();
  }

  /** The name that it has as a class of its package. */
  String qualifiedName() {
    return packageName().isEmpty() ? name : packageName() + "." + name;
  }

  String key() {
    return Symbols.typeKey(binaryName());
  }

  /** What its code sees. */
  Sight sight() {
    Program program = owner.program();
    return nested() ? new Sight(owner.element(), program) : Sight.within(packageName(), program);
  }

  /** How far a member must be seen that the old class uses, as it is written before it. */
  String visible() {
    return elsewhere() ? "public " : "";
  }

  /**
   * The key that a method of the old class has here.
   *
   * @param received the erased types of what it receives in front of its own parameters
   */
  String methodKey(String old, List<String> received) {
    String signature = old.substring(old.indexOf('#'));
    if (!received.isEmpty()) {
      String types = String.join(",", received);
      signature = signature.replace("(", "(" + types + (signature.endsWith("()") ? "" : ","));
    }
    return "method " + binaryName() + signature;
  }

  /** Whether code of a file can name it by its simple name, be it by an import. */
  boolean isPlainIn(String file) {
    return !nested() || file.equals(owner.trees().path());
  }

  /** The old class's name as a comment of the new one writes it. */
  String ownerInComments() {
    return elsewhere() ? owner.element().getQualifiedName().toString() : owner.writtenName();
  }

  /** Its name as a comment of a file writes it, which may lack an import. */
  String writtenIn(String file) {
    boolean near =
        owner.program().sources().index().packageOf(file).equals(owner.trees().packageName());
    return elsewhere() || !near
        ? qualifiedName()
        : isPlainIn(file) ? name : owner.writtenName() + "." + name;
  }
}
