package paredown.refactor.operation.parameterobject;

import com.sun.source.tree.MethodTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.type.TypeVariable;
import paredown.UnusableRequest;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Unit;
import paredown.project.Nearest;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.NewVariables;
import paredown.refactor.name.TypeMatch;
import paredown.refactor.name.WritableType;
import paredown.refactor.use.FixedHead;
import paredown.refactor.use.MethodFamily;
import paredown.refactor.use.NamedVariable;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** The heads that take an object then: those of a method's family, or all with its parameters. */
final class Signatures {
  private final ExtractParameterObject arguments;
  private final Program program;
  private final SourceIndex index;
  private final OwnerClass owner;
  private final OwnerClass.Method chosen;
  private final FixedHead checks;
  private final List<Component> components;
  private final Map<ExecutableElement, Head> heads = new LinkedHashMap<>();
  private final List<String> left = new ArrayList<>();

  private Signatures(ExtractParameterObject arguments, Program program, SourceIndex index) {
    this.arguments = arguments;
    this.program = program;
    this.index = index;
    this.owner = OwnerClass.of(program, index.type(arguments.type()));
    this.chosen = chosen();
    this.checks = new FixedHead(program, place());
    this.components = named();
  }

  /**
   * Finds them.
   *
   * @throws Refused where the head of the method that is named cannot change
   */
  static Signatures of(ExtractParameterObject arguments, Program program, SourceIndex index) {
    Signatures signatures = new Signatures(arguments, program, index);
    signatures.addFamily(signatures.chosen.element()).ifPresent(signatures::refuse);
    if (arguments.everywhere()) {
      signatures.addEverywhere();
    }
    return signatures;
  }

  OwnerClass owner() {
    return owner;
  }

  List<Component> components() {
    return components;
  }

  /** The type variables that the components name. */
  NewVariables variables() {
    Set<TypeParameterElement> named = new LinkedHashSet<>();
    components.forEach(each -> named.addAll(WritableType.variables(each.type())));
    return components.stream().anyMatch(each -> NewVariables.needsBounds(each.type()))
        ? NewVariables.bounded(named)
        : NewVariables.unbounded(named);
  }

  /**
   * What the type variables of the components are in a head.
   *
   * @throws Refused where nothing tells it
   */
  List<TypeMirror> arguments(Head head) {
    List<TypeParameterElement> variables = variables().like();
    TypeMatch match = new TypeMatch(variables::contains);
    for (int i = 0; i < components.size(); i++) {
      match.add(components.get(i).type(), head.parameter(i).asType());
    }
    for (TypeParameterElement each : variables) {
      if (match.found().get(each) instanceof TypeVariable own
          && own.asElement() instanceof TypeParameterElement there) {
        match.all(each.getBounds(), there.getBounds());
      }
    }
    if (!match.found().keySet().containsAll(variables)) {
      throw Refused.advising(
          RefusalKind.OWNER_TYPE_VARIABLE,
          "Nothing that is given tells all type variables of the new class.",
          "Name other parameters.",
          place());
    }
    return variables.stream().map(match.found()::get).toList();
  }

  /** The parameters that are named, in the order of the head. */
  private List<Component> named() {
    List<String> known = names(chosen.element());
    for (String each : arguments.parameters()) {
      if (!known.contains(each)) {
        throw new UnusableRequest(
            "%s has no parameter %s.".formatted(OwnerClass.signature(chosen), each),
            Nearest.advice(each, known, "It has " + String.join(", ", known) + "."));
      }
    }
    return chosen.element().getParameters().stream()
        .filter(each -> arguments.parameters().contains(each.getSimpleName().toString()))
        .map(each -> new Component(each.getSimpleName().toString(), each.asType(), text(each)))
        .toList();
  }

  private static List<String> names(ExecutableElement element) {
    return element.getParameters().stream().map(each -> each.getSimpleName().toString()).toList();
  }

  private String text(VariableElement variable) {
    return program.symbols().text(variable.asType());
  }

  List<Head> heads() {
    return List.copyOf(heads.values());
  }

  Optional<Head> head(Element element) {
    return Optional.ofNullable(element instanceof ExecutableElement ? heads.get(element) : null);
  }

  /** What says which methods keep their parameters, and why. */
  List<String> notes() {
    return left;
  }

  String place() {
    return owner.trees().place(chosen.tree());
  }

  /** The files in which the heads could be named. */
  Set<String> affected() {
    Set<String> words = new TreeSet<>();
    for (ExecutableElement each : heads.keySet()) {
      boolean constructor = each.getKind() == ElementKind.CONSTRUCTOR;
      Element named = constructor ? each.getEnclosingElement() : each;
      words.add(named.getSimpleName().toString());
    }
    Set<String> files = new TreeSet<>(index.filesWith(words));
    for (Head each : heads.values()) {
      files.add(each.trees().path());
      if (each.element().getKind() == ElementKind.CONSTRUCTOR) {
        files.addAll(
            index.filesWith(index.namesOfSubtypes(each.owner().getSimpleName().toString())));
      }
    }
    if (arguments.everywhere()) {
      files.addAll(holding());
    }
    return files;
  }

  /** The files with the names of all the parameters. */
  private Set<String> holding() {
    return index.filesWithAll(components.stream().map(Component::name).toList());
  }

  /** The method or constructor that is named. */
  private OwnerClass.Method chosen() {
    String name = arguments.method().replaceAll("\\(.*", "");
    if (!name.equals(owner.simpleName()) || owner.constructors().isEmpty()) {
      return NamedVariable.method(owner, arguments.method());
    }
    String types = arguments.method().substring(name.length()).replace(" ", "");
    List<OwnerClass.Method> meant =
        owner.constructors().stream()
            .filter(
                each ->
                    types.isEmpty()
                        ? names(each.element()).containsAll(arguments.parameters())
                        : OwnerClass.signature(each).endsWith(types))
            .toList();
    if (meant.size() != 1) {
      List<String> heads =
          (meant.isEmpty() ? owner.constructors() : meant)
              .stream().map(each -> OwnerClass.signature(each).replace("<init>", name)).toList();
      throw new UnusableRequest(
          meant.isEmpty()
              ? "No constructor of %s takes %s."
                  .formatted(owner.writtenName(), Listed.of(arguments.parameters()))
              : "%d constructors of %s take them.".formatted(meant.size(), owner.writtenName()),
          (meant.isEmpty() ? "It has " : "Say which: ") + String.join(", ", heads) + ".");
    }
    return meant.get(0);
  }

  /** Where the parameters of a head for the components are; empty where it lacks one. */
  private Optional<List<Integer>> positions(ExecutableElement element) {
    List<Integer> positions = new ArrayList<>();
    for (Component component : components) {
      for (int i = 0; i < element.getParameters().size(); i++) {
        VariableElement each = element.getParameters().get(i);
        if (each.getSimpleName().contentEquals(component.name())
            && text(each).equals(component.text())) {
          positions.add(i);
        }
      }
    }
    return positions.size() == components.size() ? Optional.of(positions) : Optional.empty();
  }

  private void refuse(FixedHead.Obstacle obstacle) {
    throw Refused.advising(
        obstacle.kind(),
        "%s cannot take an object: %s.".formatted(OwnerClass.signature(chosen), obstacle.why()),
        "Leave its parameters as they are.",
        obstacle.place());
  }

  /**
   * Leaves a head as it is, with its family.
   *
   * @throws Refused where that is the family of the method that is named
   */
  void leave(Head head, FixedHead.Obstacle obstacle) {
    if (!heads.containsKey(head.element())) {
      return;
    }
    Set<ExecutableElement> family = MethodFamily.of(program, head.element());
    if (family.contains(chosen.element())) {
      refuse(obstacle);
    }
    heads.keySet().removeAll(family);
    left.add(sentence(head.element(), obstacle));
  }

  /** Adds a method with all that dispatch together with it, or says why one of them cannot. */
  private Optional<FixedHead.Obstacle> addFamily(ExecutableElement method) {
    List<Integer> positions = positions(method).orElseThrow();
    List<Head> found = new ArrayList<>();
    for (ExecutableElement each : MethodFamily.of(program, method)) {
      Optional<FixedHead.Obstacle> obstacle = checks.of(each, positions);
      if (obstacle.isPresent()) {
        return obstacle;
      }
      found.add(Head.of(program, each, positions, arguments.name()));
    }
    found.forEach(head -> heads.putIfAbsent(head.element(), head));
    return Optional.empty();
  }

  private void addEverywhere() {
    List<ExecutableElement> others = new ArrayList<>();
    Set<String> holding = holding();
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      boolean editable =
          program.sources().file(unit.path()).filter(SourceIndex::isEditable).isPresent();
      if (!editable || !holding.contains(unit.path())) {
        continue;
      }
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitMethod(MethodTree tree, Void unused) {
          TreePath path = getCurrentPath();
          if (trees.element(path) instanceof ExecutableElement element
              && element.getEnclosingElement() instanceof TypeElement type
              && !isUnwritten(element, type)
              && !type.getSimpleName().contentEquals(arguments.name())
              && positions(element).isPresent()) {
            others.add(element);
          }
          return super.visitMethod(tree, null);
        }
      }.scan(unit.tree(), null);
    }
    for (ExecutableElement each : others) {
      if (!heads.containsKey(each)) {
        addFamily(each).ifPresent(obstacle -> left.add(sentence(each, obstacle)));
      }
    }
  }

  /** The constructor of a class without a name stands in no text. */
  private static boolean isUnwritten(ExecutableElement element, TypeElement type) {
    return element.getKind() == ElementKind.CONSTRUCTOR
        && type.getNestingKind() == NestingKind.ANONYMOUS;
  }

  private static String sentence(ExecutableElement method, FixedHead.Obstacle obstacle) {
    return "%s of %s keeps its parameters: %s."
        .formatted(
            method.getKind() == ElementKind.CONSTRUCTOR
                ? "A constructor"
                : method.getSimpleName() + "()",
            method.getEnclosingElement().getSimpleName(),
            obstacle.why());
  }
}
