package paredown.refactor.operation.changetype;

import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.HashMap;
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
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.UnusableRequest;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.project.Nearest;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.ShownType;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.NamedVariable;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** What holds the value, and so gets the new type: fields, variables, parameters and methods. */
final class Holders {
  /** So many members are named where another was meant. */
  private static final int MANY = 8;

  private final Program program;
  private final Overruled overruled;
  private final OwnerClass owner;
  private final Element first;
  private final Exchange exchange;
  private final Retypable retypable;
  private final Map<Element, Holder> all = new LinkedHashMap<>();
  private final Map<Element, Refused> left = new LinkedHashMap<>();
  private final Map<Element, Set<Element>> groups = new LinkedHashMap<>();

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
    if (from.getKind() == TypeKind.VOID) {
      throw new UnusableRequest(
          "%s gives nothing, so that it has no type.".formatted(arguments.member()),
          "Name a field, or a method that gives something.");
    }
    Element around = first instanceof VariableElement ? first.getEnclosingElement() : first;
    TypeMirror to = new TypedType(owner.trees(), around, from).of(arguments.to());
    if (program.types().isSameType(from, to)) {
      throw new UnusableRequest(
          "%s is %s already.".formatted(arguments.member(), ShownType.one(to)),
          "Name another type with --to.");
    }
    this.exchange = exchange(arguments, from, to);
    this.retypable = new Retypable(owner, exchange, overruled);
  }

  /**
   * Finds them.
   *
   * @throws Refused where the member that is named cannot have another type
   */
  static Holders of(ChangeType arguments, Program program, SourceIndex index) {
    OwnerClass owner = OwnerClass.of(program, index.type(arguments.type()));
    Holders holders = new Holders(arguments, program, owner);
    QuietMaking.require(owner, holders.exchange, holders.overruled);
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
    String name = member.replaceAll("\\(.*", "");
    if (!field && owner.methods().stream().noneMatch(each -> each.name().equals(name))) {
      List<String> known = new ArrayList<>();
      owner.fields().forEach(each -> known.add(each.name()));
      owner.methods().forEach(each -> known.add(each.name()));
      throw new UnusableRequest(
          "%s has no field or method %s.".formatted(owner.writtenName(), member),
          Nearest.advice(name, known, "It has " + Listed.few(known, MANY) + "."));
    }
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
      Map<String, Element> byKey = new HashMap<>();
      open.forEach((element, key) -> byKey.put(key, element));
      List<MemberUses.MemberUse> uses = MemberUses.of(program, open);
      uses.forEach(use -> leaveUncounted(use, byKey.get(use.key())));
      for (MemberUses.MemberUse use : uses) {
        value(use)
            .filter(path -> all.containsKey(byKey.get(use.key())))
            .map(path -> flow.of(use.trees(), path))
            .filter(sink -> sink.into() != null && !sink.stays())
            .ifPresent(sink -> add(sink.into()));
      }
    }
  }

  /** What is counted on in a way that the new type cannot be keeps its type, with its family. */
  private void leaveUncounted(MemberUses.MemberUse use, Element element) {
    boolean mayStay = all.containsKey(element) && !groups.get(first).contains(element);
    if (use.access() == MemberUses.Access.UPDATE && mayStay) {
      new Counting(program, exchange, use)
          .obstacle()
          .map(why -> retypable.cannot(element).because(RefusalKind.CALL_SHAPE, why, use.place()))
          .ifPresent(
              refused -> {
                for (Element each : groups.get(element)) {
                  all.remove(each);
                  left.put(each, refused);
                }
              });
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
        while (set.getLeaf() instanceof ParenthesizedTree) {
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
    if (!all.containsKey(element) && !left.containsKey(element)) {
      try {
        addAll(retypable.with(element));
      } catch (Refused refused) {
        left.put(element, retypable.inOwnWords(element, refused));
      }
    }
  }

  private void addAll(Map<Element, Holder> some) {
    some.keySet().forEach(each -> groups.put(each, some.keySet()));
    all.putAll(some);
  }
}
