package paredown.refactor.operation.changetype;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Unit;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.ShownType;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.InnerFirst;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.startup.SetAtOnce;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** Works out how everything that holds a value has another type then. */
final class ChangeTypePlan {
  private final ChangeType arguments;
  private final Program program;
  private final Holders holders;
  private final Exchange exchange;
  private final Flow flow;
  private final RetypedCode code;
  private final InnerFirst inOrder = new InnerFirst();
  private final Set<String> turnedBack = new LinkedHashSet<>();
  private final Cannot cannot;
  private final NeverNull neverNull;
  private boolean counted;

  ChangeTypePlan(ChangeType arguments, Program program, Holders holders) {
    this.arguments = arguments;
    this.program = program;
    this.holders = holders;
    this.exchange = holders.exchange();
    this.flow = new Flow(program, exchange);
    this.code = new RetypedCode(program, holders, became());
    this.cannot =
        new Cannot("%s cannot be %s".formatted(arguments.member(), ShownType.one(exchange.to())));
    this.neverNull = new NeverNull(exchange, holders.overruled(), cannot);
  }

  Change change() {
    Map<Element, String> keys = new LinkedHashMap<>();
    for (Holders.Holder each : holders.all()) {
      keys.put(each.element(), program.symbols().key(each.element()));
      code.declare(each);
      begin(each);
    }
    MemberUses.of(program, keys).forEach(this::use);
    Set<ExecutableElement> heads = heads();
    for (Unit unit : program.units()) {
      new GivenValues(new UnitTrees(program, unit), holders, heads, code, inOrder, neverNull)
          .collect();
    }
    inOrder.run();
    code.references(heads);
    code.addImports();
    return new Change(
        "%s of %s is %s."
            .formatted(
                arguments.member(), holders.owner().writtenName(), ShownType.one(exchange.to())),
        new EditedFiles(program).of(code.edits()),
        became(),
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(api(), List.of(), List.of(), notes()).assuming(assumed()));
  }

  private List<Assumption> assumed() {
    Holders.Holder first = holders.all().get(0);
    List<Assumption> all = new ArrayList<>(holders.owner().assumptions().all());
    exchange
        .assumed(
            arguments.member().replaceAll("\\(.*", ""),
            counted,
            first.trees().place(first.declaration().getLeaf()))
        .stream()
        .filter(
            each ->
                each.kind() != Assumption.Kind.NULL
                    || !holders.overruled().wasMet(RefusalKind.MAYBE_NULL))
        .forEach(all::add);
    return all;
  }

  private List<String> notes() {
    List<String> notes = new ArrayList<>(holders.overruled().notes());
    List<String> others =
        holders.all().stream().skip(1).map(each -> said(each.element())).distinct().toList();
    if (!others.isEmpty()) {
      notes.add("The type goes on to " + Listed.of(others) + ".");
    }
    if (!turnedBack.isEmpty()) {
      notes.add(
          "It is turned back into %s at %s."
              .formatted(ShownType.one(exchange.from()), Listed.of(List.copyOf(turnedBack))));
    }
    holders.left().forEach((element, why) -> notes.add(why.getMessage()));
    return notes;
  }

  /** A holder in words. */
  private static String said(Element element) {
    Element around = element.getEnclosingElement();
    return switch (element.getKind()) {
      case PARAMETER ->
          "the parameter %s of %s"
              .formatted(
                  element.getSimpleName(),
                  around.getKind() == ElementKind.CONSTRUCTOR
                      ? "a constructor of " + home(around)
                      : home(around) + "." + around.getSimpleName());
      case LOCAL_VARIABLE ->
          "the variable %s in %s".formatted(element.getSimpleName(), around.getSimpleName());
      case METHOD -> home(element) + "." + element.getSimpleName() + "()";
      default -> home(element) + "." + element.getSimpleName();
    };
  }

  /** The simple name of the class around something, that has one. */
  private static String home(Element element) {
    Element at = element.getEnclosingElement();
    while (!(at instanceof TypeElement) || at.getSimpleName().length() == 0) {
      at = at.getEnclosingElement();
    }
    return at.getSimpleName().toString();
  }

  private List<String> api() {
    return holders.all().stream()
        .map(Holders.Holder::element)
        .map(each -> each.getKind() == ElementKind.PARAMETER ? each.getEnclosingElement() : each)
        .distinct()
        .filter(each -> each.getKind() != ElementKind.LOCAL_VARIABLE && AccessLevel.isApi(each))
        .map(
            each ->
                "%s.%s: %s -> %s"
                    .formatted(
                        each.getEnclosingElement().getSimpleName(),
                        each.getKind() == ElementKind.CONSTRUCTOR ? "<init>" : each.getSimpleName(),
                        ShownType.of(exchange.from()),
                        ShownType.of(exchange.to())))
        .toList();
  }

  /** The methods and constructors whose parameters have other types then. */
  private Set<ExecutableElement> heads() {
    Set<ExecutableElement> heads = new LinkedHashSet<>();
    for (Holders.Holder each : holders.all()) {
      if (each.element().getKind() == ElementKind.PARAMETER) {
        heads.add((ExecutableElement) each.element().getEnclosingElement());
      }
    }
    return heads;
  }

  /** The keys of these, and what they are then. */
  private Map<String, String> became() {
    Map<String, String> became = new LinkedHashMap<>();
    for (ExecutableElement each : heads()) {
      List<String> types = new ArrayList<>();
      for (VariableElement parameter : each.getParameters()) {
        types.add(
            program
                .types()
                .erasure(holders.has(parameter) ? exchange.to() : parameter.asType())
                .toString());
      }
      String home = program.symbols().binary((TypeElement) each.getEnclosingElement());
      became.put(
          program.symbols().key(each),
          each.getKind() == ElementKind.CONSTRUCTOR
              ? Symbols.constructorKey(home, types)
              : Symbols.methodKey(home, each.getSimpleName().toString(), types));
    }
    return became;
  }

  /** A field that nobody sets at once holds an object of what it held until somebody sets it. */
  private void begin(Holders.Holder holder) {
    boolean open =
        holder.element().getKind() == ElementKind.FIELD
            && !holder.element().getModifiers().contains(Modifier.FINAL)
            && ((VariableTree) holder.declaration().getLeaf()).getInitializer() == null;
    TypeKind kind = exchange.from().getKind();
    boolean made = open && exchange.maker().isPresent() && !isSetAtOnce(holder);
    if (made && !kind.isPrimitive()) {
      neverNull.require(
          "%s is null until somebody sets it".formatted(holder.element().getSimpleName()),
          holder.trees().place(holder.declaration().getLeaf()));
    } else if (made) {
      code.begin(holder, kind == TypeKind.BOOLEAN ? "false" : "0");
    }
  }

  private boolean isSetAtOnce(Holders.Holder holder) {
    OwnerClass owner = OwnerClass.of(program, (TypeElement) holder.element().getEnclosingElement());
    return owner.fields().stream()
        .filter(each -> each.element().equals(holder.element()))
        .anyMatch(each -> !each.is(Modifier.STATIC) && SetAtOnce.is(owner, each));
  }

  private void use(MemberUses.MemberUse use) {
    MemberUses.Access access = use.access();
    if (access == MemberUses.Access.RESOURCE
        || access == MemberUses.Access.LOCK && exchange.maker().isPresent()) {
      throw refused("it is locked, or closed as a resource", use.place());
    }
    if (access == MemberUses.Access.UPDATE) {
      count(use);
      if (exchange.maker().isPresent()) {
        return;
      }
    }
    code.name(use);
    if (access == MemberUses.Access.WRITE || access == MemberUses.Access.UPDATE) {
      inOrder.add(use.trees(), use.path().getLeaf(), () -> code.retype(use.trees(), use.path()));
    }
    Holders.value(use).ifPresent(value -> value(use.trees(), value));
  }

  private void value(UnitTrees trees, TreePath value) {
    Flow.Sink sink = flow.of(trees, value);
    if (neverNull.matters()
        && value.getParentPath().getLeaf() instanceof BinaryTree
        && sink.stays()) {
      neverNull.require("code looks there whether it is null", trees.place(value.getLeaf()));
    }
    boolean taken = sink.stays() || sink.into() != null && holders.has(sink.into());
    inOrder.add(trees, value.getLeaf(), () -> code.retype(trees, value));
    if (!taken) {
      turnedBack.add(trees.place(value.getLeaf()));
      inOrder.add(trees, value.getLeaf(), () -> code.turnBack(trees, value));
      return;
    }
    counted |= value.getParentPath().getLeaf() instanceof CompoundAssignmentTree;
    for (TreePath each : sink.grown()) {
      counted |= !(each.getLeaf() instanceof ParenthesizedTree);
      inOrder.add(trees, each.getLeaf(), () -> code.retype(trees, each));
    }
    sink.asked().forEach((name, method) -> code.ask(trees, name, method));
  }

  private Refused refused(String why, String place) {
    return cannot.because(RefusalKind.CALL_SHAPE, why, place);
  }

  /** A value that is counted on; an object is made anew each time. */
  private void count(MemberUses.MemberUse use) {
    counted = true;
    Counting counting = new Counting(program, exchange, use);
    counting
        .obstacle()
        .ifPresent(
            why -> {
              throw refused(why, use.place());
            });
    if (exchange.maker().isPresent()) {
      TreePath path = counting.path();
      inOrder.add(use.trees(), path.getLeaf(), () -> code.count(use, path));
    }
  }
}
