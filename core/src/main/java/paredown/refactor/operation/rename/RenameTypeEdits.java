package paredown.refactor.operation.rename;

import com.sun.source.tree.MethodTree;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.code.DocReference;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;
import paredown.text.WholeWord;

/** Says the new name of a type wherever it is meant: its declaration, uses, and Javadoc. */
final class RenameTypeEdits {
  private final OwnerClass owner;
  private final Program program;
  private final String old;
  private final String name;
  private final String key;
  private final Pattern whole;

  /** Where the name stands, by files. */
  private final TreeMap<String, Set<Integer>> places = new TreeMap<>();

  RenameTypeEdits(RenameType arguments, OwnerClass owner) {
    this.owner = owner;
    this.program = owner.program();
    this.old = owner.element().getSimpleName().toString();
    this.name = arguments.name();
    this.key = program.symbols().key(owner.element());
    this.whole = WholeWord.of(old);
  }

  EditList collected() {
    String file = owner.trees().path();
    note(file, owner.trees().names().of(owner.tree()));
    owner.tree().getMembers().stream()
        .filter(member -> member instanceof MethodTree method && method.getReturnType() == null)
        .forEach(member -> note(file, owner.trees().names().of((MethodTree) member)));
    for (Unit unit : program.units()) {
      List<Use> uses = program.uses().in(unit.path()).toList();
      for (Use use : uses) {
        if (use.kind() == UseKind.NAME && use.key().equals(key)) {
          note(unit.path(), use.offset());
        } else if (use.kind() == UseKind.DOC) {
          reference(use, unit.source());
        }
      }
    }
    EditList edits = new EditList();
    places.forEach((path, offsets) -> offsets.forEach(at -> edits.add(path, written(path, at))));
    return edits;
  }

  /** Notes a place, where the name is not one that the compiler made up. */
  private void note(String file, int offset) {
    SourceText source = program.unit(file).orElseThrow().source();
    int end = offset + old.length();
    boolean whole =
        source.text().startsWith(old, offset)
            && (end >= source.length()
                || !Character.isJavaIdentifierPart(source.text().charAt(end)));
    if (whole) {
      places.computeIfAbsent(file, each -> new TreeSet<>()).add(offset);
    }
  }

  /** Notes where a Javadoc reference names the type: before a member, or among its parameters. */
  private void reference(Use use, SourceText source) {
    Matcher word =
        whole
            .matcher(source.text())
            .region(use.offset(), DocReference.end(source, use.offset()))
            .useTransparentBounds(true);
    while (word.find()) {
      if (isMeant(source, use, word.start())) {
        note(source.path(), word.start());
      }
    }
  }

  private boolean isMeant(SourceText source, Use use, int at) {
    int from = at;
    while (from > use.offset() && isQualifier(source.text().charAt(from - 1))) {
      from--;
    }
    String qualifier = source.slice(from, at);
    if (qualifier.isEmpty() && from > use.offset() && source.text().charAt(from - 1) == '#') {
      return use.key().startsWith("constructor " + program.symbols().binary(owner.element()) + "(");
    }
    String canonical = owner.element().getQualifiedName().toString();
    return qualifier.isEmpty()
        ? isKnown(source.path(), canonical)
        : ("." + canonical).endsWith("." + qualifier + old);
  }

  private static boolean isQualifier(char sign) {
    return sign == '.' || Character.isJavaIdentifierPart(sign);
  }

  /** Whether no import makes the simple name mean another type in a file. */
  private boolean isKnown(String file, String canonical) {
    return program.unit(file).orElseThrow().tree().getImports().stream()
        .filter(each -> !each.isStatic())
        .map(each -> each.getQualifiedIdentifier().toString())
        .filter(each -> each.endsWith("." + old))
        .allMatch(canonical::equals);
  }

  private Replacement written(String file, int offset) {
    Written.Text text = Written.text("");
    boolean said = false;
    for (Use use : program.uses().within(file, offset, offset + 1)) {
      if (use.kind() == UseKind.NAME && use.key().equals(key)) {
        said = true;
        text.name(name, key, use.place());
      } else {
        text.hereStill(use.kind(), use.key(), use.place());
      }
    }
    if (!said) {
      text.text(name);
    }
    return Replacement.of(offset, offset + old.length(), text.done());
  }
}
