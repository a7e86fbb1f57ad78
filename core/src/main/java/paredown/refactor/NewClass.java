package paredown.refactor;

import java.util.List;
import paredown.program.Symbols;

/**
 * A class that an extraction makes.
 *
 * @param name its simple name
 * @param nested whether it is within the old class, rather than beside it
 */
record NewClass(OwnerClass owner, String name, boolean nested) {

  String binaryName() {
    if (nested) {
      return owner.binaryName() + "$" + name;
    }
    return owner.packageName().isEmpty() ? name : owner.packageName() + "." + name;
  }

  String key() {
    return Symbols.typeKey(binaryName());
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

  /** Whether code of a file can name it by its simple name. */
  boolean isPlainIn(String file) {
    return !nested || file.equals(owner.trees().path());
  }

  /** Its name as code in its package writes it. */
  String writtenIn(String file) {
    return isPlainIn(file) ? name : owner.writtenName() + "." + name;
  }
}
