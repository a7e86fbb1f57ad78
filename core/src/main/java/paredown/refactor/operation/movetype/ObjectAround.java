package paredown.refactor.operation.movetype;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.use.OwnerClass;

/** The object that an object of an inner class belongs to: where its code needs it. */
record ObjectAround(OwnerClass nested) {

  /** Whether each of its objects belongs to one of the class around it. */
  boolean isThere() {
    return nested.element().getKind() == ElementKind.CLASS
        && !nested.element().getModifiers().contains(Modifier.STATIC)
        && !nested.element().getEnclosingElement().getKind().isInterface();
  }

  /** The uses within the class that need it, in the order of the text. */
  List<Use> uses() {
    Set<String> around = new LinkedHashSet<>();
    Program program = nested.program();
    for (Element at = nested.element().getEnclosingElement();
        at instanceof TypeElement type;
        at = at.getEnclosingElement()) {
      around.add(program.symbols().key(type));
      around.add("this of " + program.symbols().binary(type));
    }
    int start = nested.trees().start(nested.tree());
    int end = nested.trees().end(nested.tree());
    List<Use> found = new ArrayList<>();
    for (Use use : program.uses().within(nested.trees().path(), start, end)) {
      boolean needs =
          around.contains(use.key())
              && !isOfItself(use)
              && (use.isReceiver()
                  || use.kind() == UseKind.ENCLOSING
                  || use.key().startsWith("this of "));
      if (needs) {
        found.add(use);
      }
    }
    return found;
  }

  /** Whether it is an object of its own class that is made there. */
  private boolean isOfItself(Use use) {
    return use.kind() == UseKind.ENCLOSING
        && nested
            .program()
            .uses()
            .at(use.file(), use.offset(), UseKind.CREATION)
            .filter(each -> each.key().startsWith("constructor " + nested.binaryName() + "("))
            .isPresent();
  }
}
