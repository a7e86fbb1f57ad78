package paredown.refactor.operation.rename;

import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import paredown.UnusableRequest;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Symbols;
import paredown.project.Nearest;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.MethodFamily;
import paredown.refactor.use.NamedVariable;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** Works out what a rename does to every file, or why it cannot be done. */
final class RenamePlan {
  private final Rename arguments;
  private final OwnerClass owner;
  private final Program program;
  private final SourceIndex index;
  private final TreePath declaration;

  /** What is renamed, and the key that each has before. */
  private final Map<Element, String> renamed = new LinkedHashMap<>();

  RenamePlan(Rename arguments, OwnerClass owner, SourceIndex index) {
    this.arguments = arguments;
    this.owner = owner;
    this.program = owner.program();
    this.index = index;
    this.declaration = declaration();
    Element element = owner.trees().element(declaration);
    if (element instanceof ExecutableElement method) {
      MethodFamily.of(program, method).forEach(this::add);
    } else {
      add(element);
    }
  }

  private void add(Element element) {
    renamed.put(element, program.symbols().key(element));
  }

  /** The field, method or variable that is meant. */
  private TreePath declaration() {
    if (arguments.isLocal()) {
      return NamedVariable.of(owner, method(), arguments.variable());
    }
    Optional<OwnerClass.Field> field =
        owner.fields().stream().filter(each -> each.name().equals(arguments.member())).findFirst();
    if (field.isPresent()) {
      return field.get().path();
    }
    requireMember();
    return method().path();
  }

  /** A word without brackets may be meant for a field as well as for a method. */
  private void requireMember() {
    List<String> known =
        Stream.concat(
                owner.fields().stream().map(OwnerClass.Field::name),
                owner.methods().stream().map(OwnerClass.Method::name))
            .distinct()
            .toList();
    if (!arguments.member().contains("(") && !known.contains(arguments.member())) {
      throw new UnusableRequest(
          owner.writtenName() + " has no field and no method " + arguments.member() + ".",
          Nearest.advice(
              arguments.member(), known, "pare rename --help shows how members are named."));
    }
  }

  private OwnerClass.Method method() {
    return NamedVariable.method(owner, arguments.member());
  }

  /** The files whose meaning the change could touch. */
  Set<String> affected() {
    Set<String> affected = new TreeSet<>(Set.of(owner.trees().path()));
    if (!arguments.isLocal()) {
      affected.addAll(index.filesWith(Set.of(arguments.old())));
      Set<String> near = index.filesWith(index.namesOfSubtypes(owner.simpleName()));
      near.retainAll(index.filesWith(Set.of(arguments.name())));
      affected.addAll(near);
    }
    return affected;
  }

  Change change() {
    Overruled overruled = new Overruled(arguments.accepted());
    new RenameChecks(owner, arguments, renamed, overruled).require();
    return assembled(overruled);
  }

  private Change assembled(Overruled overruled) {
    Map<String, String> became = new LinkedHashMap<>();
    if (!arguments.isLocal()) {
      renamed.values().forEach(key -> became.put(key, arguments.newKey(key)));
    }
    Set<String> affected = ReadableFiles.paths(program);
    return new Change(
        summary(),
        new EditedFiles(program).of(new RenameEdits(owner, arguments, renamed).collected()),
        became,
        Map.of(),
        affected,
        new Change.Report(api(), List.of(), List.of(), notes(overruled)).assuming(assumptions()));
  }

  private String summary() {
    if (arguments.isLocal()) {
      return "%s of %s in %s becomes %s."
          .formatted(
              arguments.variable(), arguments.member(), owner.writtenName(), arguments.name());
    }
    int more = renamed.size() - 1;
    String with =
        more == 0
            ? ""
            : more == 1
                ? ", and one method more that dispatches with it"
                : ", and %d methods more that dispatch with it".formatted(more);
    return "%s of %s becomes %s%s."
        .formatted(arguments.member(), owner.writtenName(), arguments.name(), with);
  }

  private List<String> api() {
    return renamed.keySet().stream()
        .filter(each -> !Symbols.isLocal(each) && AccessLevel.isApi(each))
        .map(
            each ->
                "%s#%s is %s now"
                    .formatted(
                        each.getEnclosingElement().getSimpleName(),
                        arguments.old(),
                        arguments.name()))
        .toList();
  }

  private List<String> notes(Overruled overruled) {
    List<String> notes = new ArrayList<>(overruled.notes());
    if (!arguments.isLocal()) {
      program
          .sources()
          .others()
          .naming(owner.element().getQualifiedName().toString(), Set.of(arguments.old()))
          .ifPresent(
              place -> notes.add("%s spells the name too; it stays as it is.".formatted(place)));
    }
    return notes;
  }

  private List<Assumption> assumptions() {
    if (!arguments.isLocal()) {
      boolean closed =
          renamed.keySet().stream()
              .allMatch(each -> each.getModifiers().contains(Modifier.PRIVATE));
      OnlookersFromOutside.assume(owner, closed ? List.of() : List.of(arguments.old()));
    }
    return owner.assumptions().all();
  }
}
