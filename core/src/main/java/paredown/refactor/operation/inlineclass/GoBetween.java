package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import paredown.edit.Change;
import paredown.program.Aliases;
import paredown.program.Program;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.ConstructorCall;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.name.TypeRemoval;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/**
 * A class that only passes on to another, whose object each of its objects is given, so that
 * callers can as well ask that.
 */
final class GoBetween implements Way {
  private final OwnerClass owner;
  private final OwnerClass.Field field;
  private final TypeElement behind;
  private final Overruled overruled;
  private final Program program;

  /** What each of its methods asks the other for; null for the one that gives the other. */
  private final Map<ExecutableElement, ExecutableElement> asked = new LinkedHashMap<>();

  private GoBetween(OwnerClass owner, OwnerClass.Field field, Overruled overruled) {
    this.owner = owner;
    this.field = field;
    this.program = owner.program();
    this.behind = (TypeElement) program.types().asElement(field.element().asType());
    this.overruled = overruled;
  }

  /** A class as a go-between; empty where it is none. */
  static Optional<GoBetween> of(OwnerClass owner, Overruled overruled) {
    boolean plain =
        Way.isPlain(owner)
            && owner.element().getInterfaces().isEmpty()
            && owner.fields().size() == 1
            && !owner.methods().isEmpty();
    if (!plain) {
      return Optional.empty();
    }
    OwnerClass.Field field = owner.fields().get(0);
    boolean holds =
        field.is(Modifier.PRIVATE)
            && !field.is(Modifier.STATIC)
            && field.element().asType() instanceof DeclaredType type
            && type.getTypeArguments().isEmpty()
            && !type.asElement().equals(owner.element())
            && (makes(owner, field) || takes(owner, field));
    GoBetween found = holds ? new GoBetween(owner, field, overruled) : null;
    return found != null && found.passesAll() ? Optional.of(found) : Optional.empty();
  }

  /** Whether each of its objects makes the one behind it, out of nothing of its own. */
  private static boolean makes(OwnerClass owner, OwnerClass.Field field) {
    boolean empty =
        owner.constructors().stream()
            .allMatch(
                each ->
                    each.element().getParameters().isEmpty()
                        && each.tree().getBody().getStatements().stream()
                            .allMatch(statement -> owner.trees().end(statement) < 0));
    return empty
        && field.tree().getInitializer() != null
        && CodeElsewhere.instance(
                owner.trees(), new TreePath(field.path(), field.tree().getInitializer()))
            .isEmpty();
  }

  /** Whether all its constructor does is keep the object that it is given. */
  private static boolean takes(OwnerClass owner, OwnerClass.Field field) {
    if (owner.constructors().size() != 1 || field.tree().getInitializer() != null) {
      return false;
    }
    OwnerClass.Method constructor = owner.constructors().get(0);
    List<? extends StatementTree> statements =
        constructor.tree().getBody().getStatements().stream()
            .filter(each -> !ConstructorCall.isSuper(each))
            .toList();
    List<? extends VariableElement> parameters = constructor.element().getParameters();
    if (parameters.size() != 1
        || statements.size() != 1
        || !(statements.get(0) instanceof ExpressionStatementTree done)
        || !(done.getExpression() instanceof AssignmentTree set)) {
      return false;
    }
    UnitTrees trees = owner.trees();
    TreePath body = new TreePath(constructor.path(), constructor.tree().getBody());
    TreePath at = new TreePath(new TreePath(body, done), set);
    VariableElement given = parameters.get(0);
    return owner.program().types().isSameType(given.asType(), field.element().asType())
        && PassedOn.isHeld(trees, new TreePath(at, set.getVariable()), field.element())
        && given.equals(trees.element(new TreePath(at, set.getExpression())));
  }

  private boolean passesAll() {
    for (OwnerClass.Method method : owner.methods()) {
      boolean gives =
          method.element().getParameters().isEmpty()
              && !method.is(Modifier.STATIC)
              && PassedOn.value(method)
                  .filter(path -> PassedOn.isHeld(owner.trees(), path, field.element()))
                  .isPresent();
      Optional<PassedOn> passed = PassedOn.of(owner.trees(), method, field.element());
      if (!gives && passed.isEmpty() || isOfObject(method.element())) {
        return false;
      }
      asked.put(method.element(), passed.map(PassedOn::called).orElse(null));
    }
    return true;
  }

  /** Whether a method overrides one of Object's, which anybody may ask for. */
  private boolean isOfObject(ExecutableElement method) {
    TypeElement object = program.elements().getTypeElement("java.lang.Object");
    return object.getEnclosedElements().stream()
        .filter(ExecutableElement.class::isInstance)
        .anyMatch(
            each ->
                program.elements().overrides(method, (ExecutableElement) each, owner.element()));
  }

  @Override
  public Set<String> affected() {
    return program
        .sources()
        .index()
        .filesWith(
            asked.keySet().stream()
                .map(each -> each.getSimpleName().toString())
                .collect(Collectors.toSet()));
  }

  @Override
  public TypeElement stays() {
    return behind;
  }

  @Override
  public Change change() {
    new NamedFromOutside(owner, "inlined", overruled).require();
    EditList edits = new EditList();
    StandIn standIn = new StandIn(owner, behind, Map.of(), edits);
    Unwrapped unwrapped = new Unwrapped(owner, field, asked, standIn, edits);
    standIn.collect(keys(), unwrapped::isMade);
    unwrapped.collect();
    standIn.widen();
    edits.add(
        owner.trees().path(),
        TypeRemoval.of(owner, "it only passes on to " + behind.getSimpleName(), List.of()));
    return new Change(
        "%s, which only passes on to %s, is gone; callers ask %s itself."
            .formatted(owner.writtenName(), behind.getSimpleName(), behind.getSimpleName()),
        new EditedFiles(program).of(edits),
        became(),
        Map.of(),
        Map.of(owner.binaryName(), program.symbols().binary(behind)),
        ReadableFiles.paths(program),
        new Change.Report(TypeRemoval.api(owner), standIn.wider(), List.of(), overruled.notes())
            .assuming(owner.assumptions().all()));
  }

  /** The key of each method, and of the one that is asked instead. */
  private Map<String, String> keys() {
    Map<String, String> keys = new LinkedHashMap<>();
    asked.forEach(
        (method, called) -> {
          if (called != null) {
            keys.put(program.symbols().key(method), program.symbols().key(called));
          }
        });
    return keys;
  }

  /** What a name that stays as it is means then, by the keys that the gates know. */
  private Map<String, String> became() {
    Map<String, String> became = new LinkedHashMap<>();
    Aliases gates = new Aliases(Map.of(owner.binaryName(), program.symbols().binary(behind)));
    asked.forEach(
        (method, called) -> {
          if (called != null && method.getSimpleName().equals(called.getSimpleName())) {
            became.put(gates.in(program.symbols().key(method)), program.symbols().key(called));
          }
        });
    return became;
  }
}
