package paredown.refactor.operation.parameterobject;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.TypeElement;
import paredown.edit.Change;
import paredown.gate.Verdict;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.FileNames;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.MadeFromOutside;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.ReflectionCheck;
import paredown.text.Counted;

/** Puts the object in the place of the parameters, in heads, bodies, calls and comments. */
record GiveObject(ExtractParameterObject whole) implements Part {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    Set<String> first = new TreeSet<>(Set.of(index.type(whole.type()).file()));
    DeclaredType object = whole.existing(index).orElseThrow();
    first.add(object.file());
    return new Rounds(sources, index)
        .plan(
            first,
            program -> {
              ReadableFiles.require(program, first);
              Signatures signatures = Signatures.of(whole, program, index);
              Set<String> files = new TreeSet<>(first);
              files.addAll(signatures.affected());
              return new Rounds.Outcome(files, () -> change(program, signatures, object));
            });
  }

  private Change change(Program program, Signatures signatures, DeclaredType object) {
    TypeElement element = program.elements().getTypeElement(object.name());
    ObjectType type = ObjectType.of(program, element, signatures.components());
    CallChecks checks = new CallChecks(program, type);
    for (Call call : Calls.of(program, signatures)) {
      checks.of(call).ifPresent(met -> signatures.leave(call.head(), met));
    }
    new NullsGiven(program, signatures).leave();
    requireUnseen(program, signatures);
    EditList edits = new EditList();
    FileNames names = new FileNames(program, edits);
    for (Head head : signatures.heads()) {
      new HeadEdits(head, type, signatures.arguments(head), names, edits).add();
    }
    new CallEdits(program, signatures, type, names, edits).add(Calls.of(program, signatures));
    new DocEdits(program, signatures, type, edits).add();
    names.addImports();
    Map<String, String> became = new LinkedHashMap<>();
    for (Head head : signatures.heads()) {
      became.put(program.symbols().key(head.element()), head.newKey(type.element()));
    }
    return new Change(
        "%s: %s."
            .formatted(
                Counted.of(signatures.heads().size(), "head takes", "heads take"), whole.name()),
        new EditedFiles(program).of(edits),
        became,
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(api(signatures), List.of(), List.of(), signatures.notes())
            .assuming(signatures.owner().assumptions().all()));
  }

  private List<String> api(Signatures signatures) {
    return signatures.heads().stream()
        .filter(each -> AccessLevel.isApi(each.element()))
        .map(
            each ->
                each.element().getKind() == ElementKind.CONSTRUCTOR
                    ? "a constructor of %s takes a %s now"
                        .formatted(each.owner().getSimpleName(), whole.name())
                    : "%s#%s takes a %s now"
                        .formatted(
                            each.owner().getSimpleName(),
                            each.element().getSimpleName(),
                            whole.name()))
        .distinct()
        .toList();
  }

  /** Nobody may look a method up by its name, since it would be asked for with the old types. */
  private void requireUnseen(Program program, Signatures signatures) {
    Map<TypeElement, Map<Element, String>> owners = new LinkedHashMap<>();
    for (Head head : signatures.heads()) {
      if (head.element().getKind() == ElementKind.METHOD) {
        owners
            .computeIfAbsent(head.owner(), each -> new LinkedHashMap<>())
            .put(head.element(), program.symbols().key(head.element()));
      } else {
        MadeFromOutside.assume(signatures.owner(), head.owner());
      }
    }
    owners.forEach(
        (type, methods) ->
            new ReflectionCheck(OwnerClass.of(program, type), methods)
                .requireUnless(whole.accepted().contains(RefusalKind.REFLECTED)));
    boolean closed =
        signatures.heads().stream()
            .allMatch(
                each ->
                    each.element()
                        .getModifiers()
                        .contains(javax.lang.model.element.Modifier.PRIVATE));
    OnlookersFromOutside.assume(signatures.owner(), closed ? List.of() : List.of(whole.method()));
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("%s cannot be passed there".formatted(whole.name()))
        .because(RefusalKind.NAME_TAKEN, verdict, "Choose another name, or fewer parameters.");
  }
}
