package paredown.refactor.operation.extractclass;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import paredown.edit.Change;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.code.Modifiers;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/**
 * Close methods makes methods private again that were private before other steps, where only their
 * own new class uses them. It is the last step of other refactorings; its report names as more
 * visible what it takes back.
 *
 * @param whole what it ends, which names the old class
 * @param target the class that has the methods now
 * @param names what they are called
 */
record CloseMethods(ExtractClass whole, String target, Set<String> names) implements Part {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    DeclaredType type = index.type(target);
    Set<String> affected = new TreeSet<>(index.filesWith(names));
    affected.add(type.file());
    return new Rounds(sources, index)
        .plan(
            affected,
            program ->
                new Rounds.Outcome(
                    affected,
                    () ->
                        change(
                            OwnerClass.of(program, type),
                            index.type(whole.type()).simpleName(),
                            affected)));
  }

  @Override
  public boolean narrows() {
    return true;
  }

  private Change change(OwnerClass type, String old, Set<String> affected) {
    Program program = type.program();
    EditList edits = new EditList();
    List<String> closed = new ArrayList<>();
    for (OwnerClass.Method method : closable(type)) {
      var modifiers = method.tree().getModifiers();
      int at = Modifiers.behindAnnotations(type.trees(), modifiers, method.range().declaration());
      edits.add(type.trees().path(), Replacement.of(at, at, Written.plain("private ")));
      closed.add("%s#%s: private -> package".formatted(old, method.name()));
    }
    return new Change(
        "What only %s uses is private.".formatted(type.writtenName()),
        new EditedFiles(program).of(edits),
        Map.of(),
        Map.of(),
        affected,
        new Change.Report(List.of(), closed, List.of(), List.of()));
  }

  /** Those without a word for who sees them, which nothing outside names. */
  private List<OwnerClass.Method> closable(OwnerClass type) {
    List<OwnerClass.Method> open =
        type.methods().stream()
            .filter(method -> names.contains(method.name()))
            .filter(method -> !method.is(Modifier.PUBLIC) && !method.is(Modifier.PROTECTED))
            .filter(method -> !method.is(Modifier.PRIVATE))
            .toList();
    Map<Element, String> keys = new LinkedHashMap<>();
    open.forEach(method -> keys.put(method.element(), method.key()));
    List<MemberUses.MemberUse> uses = MemberUses.of(type.program(), keys);
    return open.stream()
        .filter(
            method ->
                uses.stream()
                    .filter(use -> use.key().equals(method.key()))
                    .allMatch(use -> use.file().equals(type.trees().path())))
        .toList();
  }
}
