package paredown.refactor.operation.movetype;

import java.util.HashSet;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.program.SourceIndex;
import paredown.refactor.use.OwnerClass;

/** The neighbours of a type are the files of its package that may ask what only they can see. */
final class Neighbours {
  private Neighbours() {}

  static Set<String> of(OwnerClass owner, SourceIndex index) {
    Set<String> words = new HashSet<>();
    collect(owner.element(), words);
    Set<String> files = new TreeSet<>(index.filesWith(words));
    files.retainAll(index.filesIn(owner.packageName()));
    return files;
  }

  private static void collect(TypeElement type, Set<String> words) {
    for (Element member : type.getEnclosedElements()) {
      boolean near =
          !member.getModifiers().contains(Modifier.PUBLIC)
              && !member.getModifiers().contains(Modifier.PRIVATE);
      if (near && member.getKind() != ElementKind.CONSTRUCTOR) {
        words.add(member.getSimpleName().toString());
      }
      if (member instanceof TypeElement nested) {
        words.add(nested.getSimpleName().toString());
        collect(nested, words);
      }
    }
  }
}
