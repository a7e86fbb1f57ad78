package paredown.refactor.operation.inlineclass;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.code.Words;
import paredown.refactor.use.OwnerClass;
import paredown.text.Token;

/** What the members of a held object are called in the class that holds it. */
final class HomeNames {
  private final OwnerClass gone;
  private final OwnerClass home;
  private final VariableElement held;
  private final Map<Element, String> names = new LinkedHashMap<>();
  private final Map<Element, PassedOn> passing = new LinkedHashMap<>();

  /**
   * @param held the field with the object
   */
  HomeNames(OwnerClass gone, OwnerClass home, VariableElement held) {
    this.gone = gone;
    this.home = home;
    this.held = held;
    passing();
    Set<String> words = words();
    for (OwnerClass.Field field : gone.fields()) {
      names.put(field.element(), free(field.element(), words));
    }
    for (OwnerClass.Method method : gone.methods()) {
      PassedOn by = passing.get(method.element());
      names.put(method.element(), by == null ? free(method.element(), words) : by.method().name());
    }
  }

  /** The methods of the home that only pass on to the object, each taking the other's place. */
  private void passing() {
    Set<Element> taken = new HashSet<>();
    for (OwnerClass.Method method : home.methods()) {
      PassedOn.of(home.trees(), method, held)
          .filter(each -> isAlike(each) && taken.add(each.called()))
          .ifPresent(each -> passing.put(each.called(), each));
    }
  }

  /** Whether the two take and give the same, so that one's body can be the other's. */
  private boolean isAlike(PassedOn passed) {
    Program program = gone.program();
    ExecutableElement one = passed.method().element();
    ExecutableElement other = passed.called();
    boolean same =
        gone.method(other).isPresent()
            && program.types().isSameType(one.getReturnType(), other.getReturnType())
            && one.getTypeParameters().isEmpty()
            && other.getTypeParameters().isEmpty()
            && one.isVarArgs() == other.isVarArgs();
    for (int i = 0; same && i < one.getParameters().size(); i++) {
      same =
          program
              .types()
              .isSameType(
                  one.getParameters().get(i).asType(), other.getParameters().get(i).asType());
    }
    return same;
  }

  private Set<String> words() {
    Set<String> words = new TreeSet<>();
    for (OwnerClass each : List.of(gone, home)) {
      for (Token token : each.source().tokens()) {
        if (token.isIdentifier()) {
          words.add(each.source().slice(token.start(), token.end()));
        }
      }
    }
    return words;
  }

  /** Its own name, or one with the field's name in it where the home has a member of that name. */
  private String free(Element member, Set<String> words) {
    String name = member.getSimpleName().toString();
    boolean field = member.getKind().isField();
    boolean taken =
        gone.program().elements().getAllMembers(home.element()).stream()
            .filter(each -> !each.equals(held) && each.getKind().isField() == field)
            .filter(each -> !(each instanceof TypeElement))
            .filter(each -> field || isAlike((ExecutableElement) member, each))
            .anyMatch(each -> each.getSimpleName().contentEquals(name));
    if (!taken) {
      return name;
    }
    String part = held.getSimpleName().toString();
    String other = field ? part + Words.capitalised(name) : name + Words.capitalised(part);
    while (!words.add(other)) {
      other += "Here";
    }
    return other;
  }

  OwnerClass gone() {
    return gone;
  }

  OwnerClass home() {
    return home;
  }

  /** Whether a call could mean the one or the other by its arguments. */
  private static boolean isAlike(ExecutableElement method, Element other) {
    return other instanceof ExecutableElement rival
        && (method.isVarArgs()
            || rival.isVarArgs()
            || method.getParameters().size() == rival.getParameters().size());
  }

  String of(Element member) {
    return names.get(member);
  }

  boolean isRenamed(Element member) {
    return !member.getSimpleName().contentEquals(of(member));
  }

  /** The method of the home that takes the place of one; empty where that comes home itself. */
  Optional<PassedOn> passer(Element member) {
    return Optional.ofNullable(passing.get(member));
  }

  /** The key that a member has then. */
  String key(Element member) {
    String key = gone.program().symbols().key(member);
    if (!(member instanceof ExecutableElement)) {
      return Symbols.fieldKey(home.binaryName(), of(member));
    }
    return "method " + home.binaryName() + "#" + of(member) + key.substring(key.lastIndexOf('('));
  }

  /** The key of the class and of each member, and the one that says what it is then. */
  Map<String, String> keysWithClass() {
    Map<String, String> keys = keys();
    keys.put(Symbols.typeKey(gone.binaryName()), Symbols.typeKey(home.binaryName()));
    return keys;
  }

  /** The key of each member, and the one that it has then. */
  Map<String, String> keys() {
    Map<String, String> keys = new LinkedHashMap<>();
    names.keySet().forEach(each -> keys.put(gone.program().symbols().key(each), key(each)));
    return keys;
  }

  /** The members that have another name, since theirs is taken. */
  List<Element> clashing() {
    return names.keySet().stream()
        .filter(each -> isRenamed(each) && passer(each).isEmpty())
        .toList();
  }
}
