package paredown.refactor.operation.close;

import com.sun.source.tree.ModifiersTree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import paredown.edit.Change;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.StepOf;
import paredown.refactor.code.Modifiers;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/**
 * Close members makes methods and fields private again that were private before other steps, where
 * only their own new class uses them. It is a step of other refactorings; its report names as more
 * visible what it takes back.
 *
 * @param whole what it is a step of
 * @param old the simple name of the class that had them
 * @param target the class that has them now
 * @param names what they are called
 */
public record CloseMembers(Refactoring whole, String old, String target, Set<String> names)
    implements StepOf {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    DeclaredType type = index.type(target);
    Set<String> affected = new TreeSet<>(index.filesWith(names));
    affected.add(type.file());
    return new Rounds(sources, index)
        .plan(
            affected,
            program ->
                new Rounds.Outcome(affected, () -> change(OwnerClass.of(program, type), affected)));
  }

  @Override
  public boolean narrows() {
    return true;
  }

  private Change change(OwnerClass type, Set<String> affected) {
    Program program = type.program();
    EditList edits = new EditList();
    List<String> closed = new ArrayList<>();
    for (Member member : closable(type)) {
      int at = Modifiers.behindAnnotations(type.trees(), member.modifiers(), member.start());
      edits.add(type.trees().path(), Replacement.of(at, at, Written.plain("private ")));
      closed.add("%s#%s: private -> package".formatted(old, member.name()));
    }
    return new Change(
        "What only %s uses is private.".formatted(type.writtenName()),
        new EditedFiles(program).of(edits),
        Map.of(),
        Map.of(),
        affected,
        new Change.Report(List.of(), closed, List.of(), List.of()));
  }

  /** A method or field. */
  private record Member(
      Element element, String key, String name, ModifiersTree modifiers, int start) {}

  private Stream<Member> members(OwnerClass type) {
    return Stream.concat(
        type.methods().stream()
            .map(
                each ->
                    new Member(
                        each.element(),
                        each.key(),
                        each.name(),
                        each.tree().getModifiers(),
                        each.range().declaration())),
        type.fields().stream()
            .map(
                each ->
                    new Member(
                        each.element(),
                        each.key(),
                        each.name(),
                        each.tree().getModifiers(),
                        each.range().declaration())));
  }

  /** Those without a word for who sees them, which nothing outside names. */
  private List<Member> closable(OwnerClass type) {
    Set<Modifier> words = Set.of(Modifier.PUBLIC, Modifier.PROTECTED, Modifier.PRIVATE);
    List<Member> open =
        members(type)
            .filter(each -> names.contains(each.name()))
            .filter(each -> each.element().getModifiers().stream().noneMatch(words::contains))
            .toList();
    Map<Element, String> keys = new LinkedHashMap<>();
    open.forEach(each -> keys.put(each.element(), each.key()));
    List<MemberUses.MemberUse> uses = MemberUses.of(type.program(), keys);
    return open.stream()
        .filter(
            each ->
                uses.stream()
                    .filter(use -> use.key().equals(each.key()))
                    .allMatch(use -> use.file().equals(type.trees().path())))
        .toList();
  }
}
