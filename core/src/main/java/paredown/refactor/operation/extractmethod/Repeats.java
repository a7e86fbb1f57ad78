package paredown.refactor.operation.extractmethod;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Use;
import paredown.project.SourceFile;
import paredown.refactor.RefusalKind;
import paredown.refactor.name.Sight;
import paredown.refactor.startup.StaticStart;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** Where in a project the same is said as in a part, and what it takes that all call one method. */
final class Repeats {
  private final Extraction part;
  private final Program program;
  private final boolean far;
  private final boolean movesOn;

  /**
   * The places that say the same as a part.
   *
   * @param form where the method is public, or moves on to another class, those of other packages
   *     count, too, where they see the class of the part
   */
  Repeats(Extraction part, NewForm form) {
    this.part = part;
    this.program = part.trees().program();
    this.movesOn = form.isOnItsWay();
    this.far = (movesOn || form.isPublic()) && isOpen(part.owner().element());
  }

  /** Whether other packages see a class. */
  private static boolean isOpen(Element type) {
    return !(type instanceof TypeElement)
        || type.getModifiers().contains(Modifier.PUBLIC) && isOpen(type.getEnclosingElement());
  }

  /** The files of its kind, mostly of its package, that have all the names that the part says. */
  Set<String> files(SourceIndex index) {
    String home = part.trees().path();
    Set<String> found = index.filesWithAll(words());
    if (!far) {
      found.retainAll(index.filesIn(index.packageOf(home)));
    }
    SourceFile own = program.sources().file(home).orElseThrow();
    Set<String> alike = new TreeSet<>(Set.of(home));
    for (String each : found) {
      program
          .sources()
          .file(each)
          .filter(SourceIndex::isEditable)
          .filter(other -> other.module().equals(own.module()) && other.kind() == own.kind())
          .ifPresent(other -> alike.add(other.path()));
    }
    return alike;
  }

  /** The names in the part that are not those of variables, which may be others elsewhere. */
  private Set<String> words() {
    Set<String> words = new TreeSet<>();
    int start = part.part().start();
    for (Use use : program.uses().within(part.trees().path(), start, part.part().end())) {
      if (use.isName() && !use.key().matches("(?:local|field) .*")) {
        int at = use.offset();
        int end = at;
        String text = part.trees().source().text();
        while (end < text.length() && Character.isJavaIdentifierPart(text.charAt(end))) {
          end++;
        }
        if (end > at) {
          words.add(text.substring(at, end));
        }
      }
    }
    return words;
  }

  /** The places that can call it, where others than those of its class may. */
  List<Callee> callees(
      Shape shape, List<VariableElement> parameters, Set<String> files, Overruled overruled) {
    List<Callee> callees = new ArrayList<>();
    for (Callee each : Callee.everywhere(part, shape, parameters, files)) {
      if (sees(each)) {
        callees.add(each);
      }
    }
    boolean elsewhere = callees.stream().anyMatch(each -> !isHome(each));
    if (elsewhere && !movesOn) {
      StaticStart.require(
          part.owner(),
          part.owner(),
          "It cannot be called elsewhere",
          overruled.overrules(RefusalKind.STARTED_EARLIER));
    }
    return callees;
  }

  private boolean isHome(Callee callee) {
    return OwnerClass.outermost(callee.at().owner().element())
        .equals(OwnerClass.outermost(part.owner().element()));
  }

  /** Whether a place sees the class, and the method in it, which its package may. */
  private boolean sees(Callee callee) {
    Sight sight = new Sight(callee.at().owner().element(), program);
    return (far || sight.isNear(part.owner().element())) && !sight.hides(part.owner().element());
  }
}
