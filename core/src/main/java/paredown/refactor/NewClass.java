package paredown.refactor;

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
   * @param receiving whether it receives its old object
   */
  String methodKey(String old, boolean receiving) {
    String signature = old.substring(old.indexOf('#'));
    if (receiving) {
      String type = owner.program().types().erasure(owner.element().asType()).toString();
      signature = signature.replace("(", "(" + type + (signature.endsWith("()") ? "" : ","));
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
