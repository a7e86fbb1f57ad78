package paredown.refactor.operation.changetype;

import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
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
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.UnusableRequest;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.FieldOnlookers;
import paredown.refactor.use.FixedHead;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.MethodFamily;
import paredown.refactor.use.NamedVariable;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** What holds the value, and so gets the new type: fields, variables, parameters and methods. */
final class Holders {
  private final Program program;
  private final Overruled overruled;
  private final OwnerClass owner;
  private final Element first;
  private final Exchange exchange;
  private final FixedHead heads;
  private final Map<Element, Holder> all = new LinkedHashMap<>();
  private final Map<Element, Refused> left = new LinkedHashMap<>();

  /**
   * What holds it.
   *
   * @param element a variable, or a method that gives it
   * @param type as it is written; null where the compiler finds it out
   */
  record Holder(Element element, UnitTrees trees, TreePath declaration, Tree type) {}

  private Holders(ChangeType arguments, Program program, OwnerClass owner) {
    this.program = program;
    this.owner = owner;
    this.overruled = new Overruled(arguments.accepted());
    this.first = named(arguments.member());
    TypeMirror from = held(first);
    TypeMirror to = new TypedType(owner.trees(), from).of(arguments.to());
    if (program.types().isSameType(from, to)) {
      throw new UnusableRequest(
          "%s is %s already.".formatted(arguments.member(), one(to)),
          "Name another type with --to.");
    }
    this.exchange = exchange(arguments, from, to);
    this.heads = new FixedHead(program, owner.trees().place(owner.tree()));
  }

  /**
   * Finds them.
   *
   * @throws Refused where the member that is named cannot have another type
   */
  static Holders of(ChangeType arguments, Program program, SourceIndex index) {
    OwnerClass owner = OwnerClass.of(program, index.type(arguments.type()));
    Holders holders = new Holders(arguments, program, owner);
    holders.add(holders.first);
    if (holders.left.containsKey(holders.first)) {
      throw holders.left.get(holders.first);
    }
    holders.follow();
    return holders;
  }

  private Exchange exchange(ChangeType arguments, TypeMirror from, TypeMirror to) {
    boolean said = arguments.as().isPresent() || arguments.back().isPresent();
    if (!said && WiderNumber.is(program, from, to)) {
      return new WiderNumber(program, from, to);
    }
    return !said && MoreGeneral.is(program, from, to)
        ? new MoreGeneral(program, from, to)
        : OtherObject.of(program, from, to, arguments);
  }

  private Element named(String member) {
    boolean field = owner.fields().stream().anyMatch(each -> each.name().equals(member));
    return field
        ? owner.fields(List.of(member)).get(0).element()
        : NamedVariable.method(owner, member).element();
  }

  /** The type of a variable, or of what a method gives. */
  private static TypeMirror held(Element element) {
    return element instanceof ExecutableElement method ? method.getReturnType() : element.asType();
  }

  /** Follows the value from holder to holder. */
  private void follow() {
    Flow flow = new Flow(program, exchange);
    Set<Element> followed = new LinkedHashSet<>();
    while (!followed.containsAll(all.keySet())) {
      Map<Element, String> open = new LinkedHashMap<>();
      all.keySet().stream()
          .filter(each -> !followed.contains(each))
          .forEach(each -> open.put(each, program.symbols().key(each)));
      followed.addAll(open.keySet());
      for (MemberUses.MemberUse use : MemberUses.of(program, open)) {
        value(use)
            .map(path -> flow.of(use.trees(), path))
            .filter(sink -> sink.into() != null && !sink.stays())
            .ifPresent(sink -> add(sink.into()));
      }
    }
  }

  /** The expression that has the value of a holder where that is used; empty where none has. */
  static Optional<TreePath> value(MemberUses.MemberUse use) {
    if (use.isImport()) {
      return Optional.empty();
    }
    return switch (use.access()) {
      case WRITE, UPDATE -> {
        TreePath set = use.path().getParentPath();
        while (set.getLeaf() instanceof com.sun.source.tree.ParenthesizedTree) {
          set = set.getParentPath();
        }
        yield Optional.of(set);
      }
      case CALL -> Optional.of(use.path().getParentPath());
      case REFERENCE -> Optional.empty();
      default -> Optional.of(use.path());
    };
  }

  boolean has(Element element) {
    return all.containsKey(element);
  }

  List<Holder> all() {
    return List.copyOf(all.values());
  }

  Exchange exchange() {
    return exchange;
  }

  OwnerClass owner() {
    return owner;
  }

  Overruled overruled() {
    return overruled;
  }

  /** What cannot have the new type though the value goes there, and why. */
  Map<Element, Refused> left() {
    return left;
  }

  /** The files in which they could be named. */
  Set<String> affected(SourceIndex index) {
    Set<String> words = new TreeSet<>();
    Set<String> files = new TreeSet<>();
    for (Holder each : all.values()) {
      Element named =
          each.element().getKind() == ElementKind.PARAMETER
              ? each.element().getEnclosingElement()
              : each.element();
      if (named.getKind() == ElementKind.CONSTRUCTOR) {
        named = named.getEnclosingElement();
        files.addAll(index.filesWith(index.namesOfSubtypes(named.getSimpleName().toString())));
      }
      if (!named.getKind().equals(ElementKind.LOCAL_VARIABLE)) {
        words.add(named.getSimpleName().toString());
      }
      files.add(each.trees().path());
    }
    files.addAll(index.filesWith(words));
    return files;
  }

  /** Adds what takes the value, with all that dispatches together with it, if it can change. */
  private void add(Element element) {
    if (all.containsKey(element) || left.containsKey(element)) {
      return;
    }
    try {
      Optional<VariableElement> component = component(element);
      if (component.isPresent()) {
        addComponent(component.get());
        return;
      }
      switch (element.getKind()) {
        case FIELD -> addAll(List.of(field((VariableElement) element)));
        case LOCAL_VARIABLE -> addAll(List.of(local((VariableElement) element)));
        case PARAMETER -> parameter((VariableElement) element);
        case METHOD -> method((ExecutableElement) element);
        default ->
            throw cannot(element)
                .because(RefusalKind.NOT_ALONE, "it is declared in a special way", place(element));
      }
    } catch (Refused refused) {
      left.put(element, refused);
    }
  }

  private void addAll(List<Holder> some) {
    some.forEach(each -> all.put(each.element(), each));
  }

  private Cannot cannot(Element element) {
    return new Cannot("%s cannot be %s".formatted(element.getSimpleName(), one(exchange.to())));
  }

  /** A type with its article: {@code an int}. */
  static String one(TypeMirror type) {
    String shown = shown(type);
    return ("aeiouAEIOU".indexOf(shown.charAt(0)) < 0 ? "a " : "an ") + shown;
  }

  /** A type by its simple names. */
  static String shown(TypeMirror type) {
    return type.toString().replaceAll("\\b(?:[a-z_][\\w]*\\.)+(?=\\w)", "");
  }

  private String place(Element element) {
    TreePath path = program.declaration(element);
    return path == null
        ? owner.trees().place(owner.tree())
        : new UnitTrees(program, program.unit(path).orElseThrow()).place(path.getLeaf());
  }

  private Holder holder(Element element, TreePath path, Tree type) {
    UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
    if (program.sources().file(trees.path()).filter(SourceIndex::isEditable).isEmpty()) {
      throw cannot(element)
          .because(RefusalKind.GENERATED, RefusalKind.GENERATED.why(), trees.place(path.getLeaf()));
    }
    boolean written = type != null && trees.end(type) >= 0;
    return new Holder(element, trees, path, written ? type : null);
  }

  private Holder field(VariableElement field) {
    TypeElement type = (TypeElement) field.getEnclosingElement();
    if (!program.declares(type)) {
      throw cannot(field).because(RefusalKind.NOT_A_CLASS, "it is a library's", place(field));
    }
    OwnerClass home = type.equals(owner.element()) ? owner : OwnerClass.of(program, type);
    OwnerClass.Field own =
        home.fields().stream()
            .filter(each -> each.element().equals(field))
            .findFirst()
            .orElseThrow();
    FieldOnlookers.requireNone(home, own, overruled, one(exchange.to()));
    OnlookersFromOutside.assume(owner, List.of(own.name()));
    return variable(field, own.path());
  }

  /** The field of the record's component that an element belongs to; empty where it is none. */
  private Optional<VariableElement> component(Element element) {
    Element around = element.getEnclosingElement();
    boolean constructor = around.getKind() == ElementKind.CONSTRUCTOR;
    Element home = constructor ? around.getEnclosingElement() : around;
    if (home.getKind() != ElementKind.RECORD || element.getModifiers().contains(Modifier.STATIC)) {
      return Optional.empty();
    }
    boolean part =
        constructor
            ? isCanonical((ExecutableElement) around)
            : !(element instanceof ExecutableElement method) || method.getParameters().isEmpty();
    return ElementFilter.fieldsIn(home.getEnclosedElements()).stream()
        .filter(each -> part && each.getSimpleName().equals(element.getSimpleName()))
        .filter(each -> !each.getModifiers().contains(Modifier.STATIC))
        .findFirst();
  }

  private boolean isCanonical(ExecutableElement constructor) {
    TypeElement type = (TypeElement) constructor.getEnclosingElement();
    List<? extends Element> components = type.getRecordComponents();
    boolean same = constructor.getParameters().size() == components.size();
    for (int i = 0; same && i < components.size(); i++) {
      same = isSameErased(components.get(i).asType(), constructor.getParameters().get(i).asType());
    }
    return same;
  }

  /** The field of a component, what gives it, and the parameter that it is made of. */
  private void addComponent(VariableElement field) {
    TypeElement type = (TypeElement) field.getEnclosingElement();
    Map<Element, Holder> found = new LinkedHashMap<>();
    Holder holder = field(field);
    found.put(field, holder);
    for (ExecutableElement each : ElementFilter.methodsIn(type.getEnclosedElements())) {
      if (each.getSimpleName().equals(field.getSimpleName()) && each.getParameters().isEmpty()) {
        if (MethodFamily.of(program, each).size() > 1) {
          throw cannot(field)
              .because(RefusalKind.OVERRIDES, RefusalKind.OVERRIDES.why(), place(each));
        }
        found.put(each, ofComponent(each, holder));
      }
    }
    for (ExecutableElement each : ElementFilter.constructorsIn(type.getEnclosedElements())) {
      if (isCanonical(each)) {
        each.getParameters().stream()
            .filter(one -> one.getSimpleName().equals(field.getSimpleName()))
            .forEach(one -> found.put(one, ofComponent(one, holder)));
      }
    }
    all.putAll(found);
  }

  /** What says its type itself, or has it by the head of the record. */
  private Holder ofComponent(Element element, Holder component) {
    TreePath path = program.declaration(element);
    Tree tree = path == null ? null : path.getLeaf();
    Tree type =
        tree instanceof MethodTree method
            ? method.getReturnType()
            : tree instanceof VariableTree variable ? variable.getType() : null;
    boolean own = type != null && component.trees().end(type) >= 0;
    boolean head =
        own && component.trees().start(type) == component.trees().start(component.type());
    return own && !head
        ? new Holder(element, component.trees(), path, type)
        : new Holder(element, component.trees(), component.declaration(), null);
  }

  private Holder local(VariableElement variable) {
    TreePath path = program.declaration(variable);
    if (path.getParentPath().getLeaf() instanceof EnhancedForLoopTree
        && exchange.maker().isPresent()) {
      throw cannot(variable).because(RefusalKind.NOT_ALONE, "a loop sets it", place(variable));
    }
    return variable(variable, path);
  }

  /** A variable that is declared alone. */
  private Holder variable(VariableElement element, TreePath path) {
    Holder holder = holder(element, path, ((VariableTree) path.getLeaf()).getType());
    if (holder.type() != null) {
      UnitTrees trees = holder.trees();
      boolean behind =
          trees
              .source()
              .slice(trees.end(holder.type()), trees.names().of((VariableTree) path.getLeaf()))
              .contains(",");
      int end = trees.end(path.getLeaf());
      boolean before =
          trees.source().text().charAt(end - 1) == ','
              || trees.source().text().charAt(trees.source().codeTokenFrom(end).start()) == ','
                  && element.getKind() != ElementKind.PARAMETER;
      if (behind || before) {
        throw cannot(element)
            .because(
                RefusalKind.SHARED_DECLARATION,
                "it is declared together with others",
                "Declare it in a statement of its own first.",
                place(element));
      }
    }
    return holder;
  }

  private void parameter(VariableElement parameter) {
    TreePath path = program.declaration(parameter);
    boolean ofMethod = path != null && path.getParentPath().getLeaf() instanceof MethodTree;
    if (!ofMethod || !(parameter.getEnclosingElement() instanceof ExecutableElement method)) {
      throw cannot(parameter)
          .because(
              RefusalKind.NOT_ALONE,
              path == null ? "a library declares it" : "it belongs to a lambda",
              place(parameter));
    }
    int index = method.getParameters().indexOf(parameter);
    Map<Element, Holder> found = new LinkedHashMap<>();
    for (ExecutableElement each : family(method)) {
      require(parameter, each, List.of(index));
      VariableElement own = each.getParameters().get(index);
      requireSame(parameter, own.asType(), own);
      requireNoClash(own, each, index);
      found.put(own, variable(own, program.declaration(own)));
    }
    all.putAll(found);
  }

  private Set<ExecutableElement> family(ExecutableElement method) {
    Set<ExecutableElement> family = new LinkedHashSet<>(Set.of(method));
    family.addAll(MethodFamily.of(program, method));
    return family;
  }

  private void require(Element what, ExecutableElement method, List<Integer> positions) {
    Optional<FixedHead.Obstacle> met = heads.of(method, positions);
    if (met.isPresent()) {
      throw cannot(what).because(met.get().kind(), met.get().why(), met.get().place());
    }
  }

  private void requireSame(Element what, TypeMirror type, Element other) {
    if (!program.types().isSameType(type, exchange.from())) {
      throw cannot(what)
          .because(
              RefusalKind.DIFFERS, "a method of its family has another type there", place(other));
    }
  }

  /** Another method with the parameters that it would have would clash with it. */
  private void requireNoClash(Element what, ExecutableElement method, int index) {
    TypeElement type = (TypeElement) method.getEnclosingElement();
    for (ExecutableElement other :
        ElementFilter.methodsIn(program.elements().getAllMembers(type))) {
      boolean clashes =
          !other.equals(method)
              && other.getSimpleName().equals(method.getSimpleName())
              && other.getParameters().size() == method.getParameters().size();
      for (int i = 0; clashes && i < method.getParameters().size(); i++) {
        TypeMirror own = i == index ? exchange.to() : method.getParameters().get(i).asType();
        clashes = isSameErased(own, other.getParameters().get(i).asType());
      }
      if (clashes) {
        throw cannot(what)
            .because(RefusalKind.NAME_TAKEN, "another method has such parameters", place(other));
      }
    }
  }

  private boolean isSameErased(TypeMirror one, TypeMirror other) {
    return program.types().isSameType(program.types().erasure(one), program.types().erasure(other));
  }

  private void method(ExecutableElement method) {
    Map<Element, Holder> found = new LinkedHashMap<>();
    for (ExecutableElement each : family(method)) {
      require(method, each, List.of());
      requireSame(method, each.getReturnType(), each);
      TreePath path = program.declaration(each);
      found.put(each, holder(each, path, ((MethodTree) path.getLeaf()).getReturnType()));
    }
    all.putAll(found);
  }
}
