package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.ClassTree;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Change;
import paredown.program.Aliases;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.name.ShownName;
import paredown.refactor.name.TypeRemoval;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/**
 * A subclass that adds nothing to its superclass, so that its objects can as well be the
 * superclass's.
 */
final class FoldedUp implements Way {
  private final OwnerClass owner;
  private final Program program;
  private final TypeElement parent;
  private final Overruled overruled;
  private final EditList edits = new EditList();

  private FoldedUp(OwnerClass owner, TypeElement parent, Overruled overruled) {
    this.owner = owner;
    this.program = owner.program();
    this.parent = parent;
    this.overruled = overruled;
  }

  /** A class as one that adds nothing; empty where it is none. */
  static Optional<FoldedUp> of(OwnerClass owner, Overruled overruled) {
    Program program = owner.program();
    Element parent = program.types().asElement(owner.element().getSuperclass());
    boolean extended =
        parent instanceof TypeElement
            && owner.tree().getExtendsClause() != null
            && owner.element().getTypeParameters().isEmpty();
    boolean bare =
        owner.fields().isEmpty()
            && owner.methods().isEmpty()
            && owner.initialisers().isEmpty()
            && owner.tree().getMembers().stream().noneMatch(ClassTree.class::isInstance);
    if (!extended || !bare) {
      return Optional.empty();
    }
    boolean same =
        owner.element().getInterfaces().stream()
            .allMatch(each -> program.types().isSubtype(parent.asType(), each));
    return same
        ? Optional.of(new FoldedUp(owner, (TypeElement) parent, overruled))
        : Optional.empty();
  }

  @Override
  public Set<String> affected() {
    return Set.of();
  }

  @Override
  public TypeElement stays() {
    return parent;
  }

  @Override
  public Change change() {
    requirePlain();
    new NamedFromOutside(owner, "inlined", overruled).require();
    new ShownName(owner, program.sources().index()).assume();
    Map<Element, ParentCall> calls = calls();
    Map<Element, ExecutableElement> constructors = new LinkedHashMap<>();
    calls.forEach((constructor, call) -> constructors.put(constructor, call.constructor()));
    StandIn standIn = new StandIn(owner, parent, constructors, edits);
    GivenMore more = new GivenMore(owner, calls, standIn, edits);
    standIn.collect(Map.of(), more::made);
    more.others();
    standIn.widen();
    edits.add(
        owner.trees().path(),
        TypeRemoval.of(owner, "it adds nothing to " + parent.getSimpleName(), List.of()));
    return new Change(
        "%s, which adds nothing to %s, is gone."
            .formatted(owner.writtenName(), parent.getSimpleName()),
        new EditedFiles(program).of(edits),
        became(calls),
        Map.of(),
        Map.of(owner.binaryName(), program.symbols().binary(parent)),
        ReadableFiles.paths(program),
        new Change.Report(TypeRemoval.api(owner), standIn.wider(), List.of(), overruled.notes())
            .assuming(owner.assumptions().all()));
  }

  private void requirePlain() {
    String here = owner.trees().place(owner.tree());
    boolean abstracted =
        parent.getModifiers().contains(Modifier.ABSTRACT)
            && !owner.element().getModifiers().contains(Modifier.ABSTRACT);
    boolean closed = parent.getModifiers().contains(Modifier.SEALED);
    boolean generic =
        !((DeclaredType) owner.element().getSuperclass()).getTypeArguments().isEmpty();
    if (abstracted || closed || generic) {
      String why =
          abstracted
              ? "it is abstract, and has no objects of its own"
              : closed ? "it is sealed" : "it has type arguments there";
      throw Refused.advising(
          generic ? RefusalKind.TARGET_GENERIC : RefusalKind.TARGET_ELSEWHERE,
          "%s cannot be inlined into %s: %s."
              .formatted(owner.writtenName(), parent.getSimpleName(), why),
          "",
          here);
    }
  }

  /** The key of each constructor, as the gates know it, and of the one that is called instead. */
  private Map<String, String> became(Map<Element, ParentCall> calls) {
    Map<String, String> became = new LinkedHashMap<>();
    Aliases gates = new Aliases(Map.of(owner.binaryName(), program.symbols().binary(parent)));
    calls.forEach(
        (constructor, call) -> {
          if (call.isSame()) {
            String then = program.symbols().key(constructor);
            became.put(gates.in(then), program.symbols().key(call.constructor()));
          }
        });
    return became;
  }

  private Map<Element, ParentCall> calls() {
    Map<Element, ParentCall> calls = new LinkedHashMap<>();
    for (OwnerClass.Method each : owner.constructors()) {
      calls.put(each.element(), ParentCall.of(owner, each));
    }
    if (calls.isEmpty()) {
      ElementFilter.constructorsIn(owner.element().getEnclosedElements())
          .forEach(each -> calls.put(each, ParentCall.without(owner, parent)));
    }
    return calls;
  }
}
