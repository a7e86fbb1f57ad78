package paredown.refactor.operation.rename;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Symbols;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.MethodFamily;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** Works out what a rename does to every file, or why it cannot be done. */
final class RenamePlan {
  private final Rename arguments;
  private final OwnerClass owner;
  private final Program program;
  private final SourceIndex index;

  /** Whether only a part of one file can say the name. */
  private final boolean inside;

  /** What is renamed, and the key that each has before. */
  private final Map<Element, String> renamed = new LinkedHashMap<>();

  RenamePlan(Rename arguments, OwnerClass owner, SourceIndex index) {
    this.arguments = arguments;
    this.owner = owner;
    this.program = owner.program();
    this.index = index;
    Element element = owner.trees().element(Meant.of(owner, arguments));
    this.inside = Symbols.isLocal(element) || element.getKind() == ElementKind.TYPE_PARAMETER;
    if (element instanceof ExecutableElement method) {
      MethodFamily.of(program, method).forEach(this::add);
    } else {
      add(element);
      Component.of(program, element).forEach(this::add);
    }
  }

  private void add(Element element) {
    renamed.put(element, program.symbols().key(element));
  }

  /** The files whose meaning the change could touch. */
  Set<String> affected() {
    Set<String> affected = new TreeSet<>(Set.of(owner.trees().path()));
    if (!inside) {
      affected.addAll(index.filesWith(Set.of(arguments.old())));
      Set<String> near = index.filesWith(index.namesOfSubtypes(owner.simpleName()));
      near.retainAll(index.filesWith(Set.of(arguments.name())));
      affected.addAll(near);
      if (arguments.inStrings()) {
        affected.addAll(spelt().files(program.sources()));
      }
    }
    return affected;
  }

  private SpeltMember spelt() {
    return SpeltMember.of(owner, arguments);
  }

  Change change() {
    Overruled overruled = new Overruled(arguments.accepted());
    new RenameChecks(owner, arguments, renamed, overruled).require();
    return assembled(overruled);
  }

  private Change assembled(Overruled overruled) {
    Map<String, String> became = new LinkedHashMap<>();
    renamed.values().stream()
        .filter(key -> !RenameEdits.isLocal(key))
        .forEach(key -> became.put(key, arguments.newKey(key)));
    Set<String> affected = ReadableFiles.paths(program);
    EditList edits = new RenameEdits(owner, arguments, renamed).collected();
    List<String> notes = notes(overruled);
    if (arguments.inStrings() && !inside) {
      List<String> places = spelt().edit(program, edits);
      if (!places.isEmpty()) {
        owner
            .assumptions()
            .add(
                Assumption.Kind.NAME,
                "the strings \"%s\" mean %s, and nothing that is stored or shown"
                    .formatted(arguments.old(), owner.simpleName() + "#" + arguments.old()),
                places.get(0));
        notes.add(
            "%s the new name, too: %s."
                .formatted(
                    places.size() == 1 ? "A string says" : places.size() + " strings say",
                    Listed.few(places, Listed.SHOWN)));
      }
    }
    return new Change(
        summary(),
        new EditedFiles(program).of(edits),
        became,
        Map.of(),
        affected,
        new Change.Report(api(), List.of(), List.of(), notes).assuming(assumptions()));
  }

  private String summary() {
    if (arguments.isOfMethod()) {
      return "%s of %s in %s becomes %s."
          .formatted(
              arguments.variable(), arguments.member(), owner.writtenName(), arguments.name());
    }
    long more =
        renamed.keySet().stream().filter(each -> each.getKind() == ElementKind.METHOD).count();
    boolean method = renamed.keySet().iterator().next().getKind() == ElementKind.METHOD;
    more -= method ? 1 : 0;
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
        .filter(each -> !inside && !Symbols.isLocal(each) && AccessLevel.isApi(each))
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
    if (!inside) {
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
    if (!inside) {
      boolean closed =
          renamed.keySet().stream()
              .allMatch(each -> each.getModifiers().contains(Modifier.PRIVATE));
      OnlookersFromOutside.assume(owner, closed ? List.of() : List.of(arguments.old()));
    }
    Element first = renamed.keySet().iterator().next();
    if (first.getKind() == ElementKind.ENUM_CONSTANT || Component.isField(first)) {
      owner
          .assumptions()
          .add(
              Assumption.Kind.NAME,
              "nothing that matters shows, stores or looks for the name %s while the program runs"
                  .formatted(arguments.old()),
              owner.trees().place(program.declaration(first).getLeaf()));
    }
    return owner.assumptions().all();
  }
}
