package paredown.refactor.operation.rename;

import com.sun.source.tree.MethodTree;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.DocMentions;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/** Says the new name of a type wherever it is meant: its declaration, uses, and Javadoc. */
final class RenameTypeEdits {
  private final OwnerClass owner;
  private final Program program;
  private final String old;
  private final String name;
  private final String key;

  /** Where the name stands, by files. */
  private final TreeMap<String, Set<Integer>> places = new TreeMap<>();

  RenameTypeEdits(RenameType arguments, OwnerClass owner) {
    this.owner = owner;
    this.program = owner.program();
    this.old = owner.element().getSimpleName().toString();
    this.name = arguments.name();
    this.key = program.symbols().key(owner.element());
  }

  EditList collected() {
    String file = owner.trees().path();
    note(file, owner.trees().names().of(owner.tree()));
    owner.tree().getMembers().stream()
        .filter(member -> member instanceof MethodTree method && method.getReturnType() == null)
        .forEach(member -> note(file, owner.trees().names().of((MethodTree) member)));
    for (Unit unit : program.units()) {
      program
          .uses()
          .in(unit.path())
          .filter(use -> use.isName() && use.key().equals(key))
          .forEach(use -> note(unit.path(), use.offset()));
    }
    DocMentions.of(program, owner.element())
        .forEach((path, offsets) -> offsets.forEach(at -> note(path, at)));
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

  private Replacement written(String file, int offset) {
    Written.Text text = Written.text("");
    boolean said = false;
    for (Use use : program.uses().within(file, offset, offset + 1)) {
      if (use.isName() && use.key().equals(key)) {
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
