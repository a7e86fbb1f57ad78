package paredown.refactor;

import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.text.Lexer;
import paredown.text.Token;

/** A method on its way: where from and where to, and what it needs to be given there. */
final class Moving {
  /** More values than this make a worse list of parameters than the object that has them. */
  private static final int MOST_VALUES = 4;

  private static final String CHANGES = " could change while it runs";

  /**
   * A value of the old object that the method receives.
   *
   * @param member the field, or the accessor that the code asks
   * @param field the field itself
   */
  record Value(String name, Element member, VariableElement field, TypeMirror type) {}

  private final OwnerClass owner;
  private final OwnerClass target;
  private final OwnerClass.Method method;
  private final Through through;
  private final MovedCode code;
  private final boolean delegate;
  private final boolean acceptsNull;
  private final String name;
  private final Widening widening;
  private final CalmCalls calm;
  private final Map<Element, Value> values = new LinkedHashMap<>();
  private final Set<TypeParameterElement> variables;
  private final Optional<String> ownerReason;
  private final String ownerName;
  private Level wanted = Level.PRIVATE;

  /** How far a member is seen. */
  enum Level {
    PRIVATE("private"),
    PACKAGE("package"),
    PROTECTED("protected"),
    PUBLIC("public");

    private final String word;

    Level(String word) {
      this.word = word;
    }

    String word() {
      return word;
    }
  }

  Moving(
      OwnerClass owner,
      OwnerClass target,
      OwnerClass.Method method,
      Through through,
      MovedCode code,
      MoveMethod.Wishes wishes,
      boolean delegate,
      Optional<String> forced) {
    this.owner = owner;
    this.target = target;
    this.method = method;
    this.through = through;
    this.code = code;
    this.delegate = delegate;
    this.acceptsNull = wishes.accepted().contains(RefusalKind.MAYBE_NULL);
    this.name = wishes.name().orElse(method.name());
    this.widening = new Widening(program());
    this.calm = new CalmCalls(program());
    Optional<String> found = ownerReason(wishes);
    this.ownerReason = values.isEmpty() ? found : found.or(() -> forced);
    if (ownerReason.isPresent()) {
      values.clear();
    }
    this.ownerName = ownerName();
    this.variables = neededVariables();
    widenSeen();
    if (delegate) {
      seenFrom(owner.element());
    }
  }

  Program program() {
    return owner.program();
  }

  OwnerClass owner() {
    return owner;
  }

  OwnerClass target() {
    return target;
  }

  OwnerClass.Method method() {
    return method;
  }

  Through through() {
    return through;
  }

  MovedCode code() {
    return code;
  }

  /** Whether it was said that callers never ask null. */
  boolean acceptsNull() {
    return acceptsNull;
  }

  boolean delegate() {
    return delegate;
  }

  String name() {
    return name;
  }

  Widening widening() {
    return widening;
  }

  CalmCalls calm() {
    return calm;
  }

  List<Value> values() {
    return values.values().stream().distinct().toList();
  }

  Value value(Element member) {
    return values.get(member);
  }

  /** Why it receives its whole old object; empty text where that was wished, empty where not. */
  Optional<String> ownerReason() {
    return ownerReason;
  }

  boolean passesOwner() {
    return ownerReason.isPresent();
  }

  /** Whether the code fails at once where the old object that it receives is null. */
  boolean isOwnerAskedAtOnce() {
    Set<Tree> asking = new HashSet<>();
    code.asked().stream()
        .filter(asked -> asked.member() != null && !asked.later())
        .forEach(asked -> asking.add(asked.path().getLeaf()));
    return Dereference.ownIsCertain(
        owner.trees(), new TreePath(method.path(), method.tree().getBody()), asking::contains);
  }

  /** The name of the parameter that holds the old object. */
  String givenOwner() {
    return ownerName;
  }

  /** The type variables of its old class that it declares itself now, in their order. */
  List<TypeParameterElement> variables() {
    return owner.element().getTypeParameters().stream()
        .filter(variables::contains)
        .map(TypeParameterElement.class::cast)
        .toList();
  }

  boolean becomesStatic() {
    return through instanceof Through.Nothing;
  }

  /** Its parameters that it keeps, by their places in the old list. */
  List<Integer> kept() {
    List<Integer> kept = new ArrayList<>();
    for (int i = 0; i < method.element().getParameters().size(); i++) {
      if (!(through instanceof Through.Parameter parameter && parameter.index() == i)) {
        kept.add(i);
      }
    }
    return kept;
  }

  boolean isVarArgs() {
    return method.element().isVarArgs();
  }

  private Optional<String> ownerReason(MoveMethod.Wishes wishes) {
    if (wishes.owner() && !code.asked().isEmpty()) {
      return Optional.of("");
    }
    SteadyFields steady = new SteadyFields(owner, method, calm);
    List<String> reasons =
        code.asked().stream()
            .map(asked -> reason(asked, steady))
            .flatMap(Optional::stream)
            .toList();
    if (!reasons.isEmpty()) {
      return reasons.stream()
          .filter(reason -> !reason.endsWith(CHANGES))
          .findFirst()
          .or(() -> Optional.of(reasons.get(0)));
    }
    return values().size() > MOST_VALUES
        ? Optional.of("it uses %d of its values".formatted(values().size()))
        : Optional.empty();
  }

  /** Why a use needs the old object; empty where a value does, which is noted. */
  private Optional<String> reason(MovedCode.Asked asked, SteadyFields steady) {
    Element member = asked.member();
    if (member == null) {
      return Optional.of("it hands that on");
    }
    String word = member.getSimpleName().toString();
    if (member.getModifiers().contains(Modifier.STATIC)) {
      return Optional.of("it reaches " + word + " through it");
    }
    MemberUses.Access access = MemberUses.access(asked.path());
    boolean call = member.getKind() == ElementKind.METHOD;
    if (call) {
      Optional<VariableElement> field = calm.field((ExecutableElement) member);
      boolean plain =
          field.isPresent()
              && access == MemberUses.Access.CALL
              && steady.is(field.get(), asked.path(), asked.later());
      TypeMirror type = typeOf(asked.path().getParentPath());
      return plain && isNameable(type)
          ? value(member, field.get(), type)
          : Optional.of("it calls " + word);
    }
    if (access != MemberUses.Access.READ) {
      return Optional.of("it sets or locks " + word);
    }
    if (!steady.is((VariableElement) member, asked.path(), asked.later())) {
      return Optional.of(word + CHANGES);
    }
    TypeMirror type = typeOf(asked.path());
    return isNameable(type)
        ? value(member, (VariableElement) member, type)
        : Optional.of("the type of " + word + " cannot be named there");
  }

  private TypeMirror typeOf(TreePath path) {
    Tree leaf = path.getLeaf();
    boolean call = leaf instanceof MethodInvocationTree;
    Element element =
        owner
            .trees()
            .element(
                call ? new TreePath(path, ((MethodInvocationTree) leaf).getMethodSelect()) : path);
    DeclaredType self = (DeclaredType) owner.element().asType();
    TypeMirror type = program().types().asMemberOf(self, element);
    return call ? ((javax.lang.model.type.ExecutableType) type).getReturnType() : type;
  }

  private boolean isNameable(TypeMirror type) {
    Sight sight = new Sight(target.element(), program().elements());
    boolean known =
        TypeNames.variables(type).stream()
            .allMatch(variable -> variable.getGenericElement().equals(owner.element()));
    return known
        && TypeNames.isWritable(type)
        && (!(type instanceof DeclaredType declared) || !sight.hides(declared.asElement()));
  }

  /** An accessor and the field that it gives are one value. */
  private Optional<String> value(Element member, VariableElement field, TypeMirror type) {
    Optional<Value> known =
        values.values().stream().filter(value -> value.field().equals(field)).findFirst();
    if (known.isPresent()) {
      values.put(member, known.get());
      return Optional.empty();
    }
    String word = field.getSimpleName().toString();
    boolean taken =
        isLocal(word) || values.values().stream().anyMatch(value -> value.name().equals(word));
    String free = taken ? Words.decapitalised(owner.simpleName()) + Words.capitalised(word) : word;
    values.put(member, new Value(free, member, field, type));
    return Optional.empty();
  }

  private boolean isLocal(String word) {
    boolean leaves =
        through instanceof Through.Parameter parameter
            && parameter.variable().getSimpleName().contentEquals(word);
    return code.locals().contains(word) && !leaves;
  }

  private String ownerName() {
    Set<String> words = new LinkedHashSet<>();
    for (Token token : owner.source().tokens()) {
      if (token.isIdentifier()
          && token.start() >= method.range().declaration()
          && token.end() <= method.range().declarationEnd()) {
        words.add(owner.source().slice(token.start(), token.end()));
      }
    }
    String plain = Words.decapitalised(owner.simpleName());
    for (String candidate : List.of(plain, "its" + owner.simpleName(), plain + "Before")) {
      if (!words.contains(candidate) && !Lexer.isKeyword(candidate)) {
        return candidate;
      }
    }
    return plain + "OfOld";
  }

  private Set<TypeParameterElement> neededVariables() {
    Set<TypeParameterElement> needed = new LinkedHashSet<>(code.variables());
    if (passesOwner()) {
      needed.addAll(owner.element().getTypeParameters());
    }
    values.values().forEach(value -> collect(value.type(), needed));
    for (int size = -1; size < needed.size(); ) {
      size = needed.size();
      List.copyOf(needed)
          .forEach(each -> each.getBounds().forEach(bound -> collect(bound, needed)));
    }
    for (TypeParameterElement each : method.element().getTypeParameters()) {
      needed.remove(each);
      if (needed.stream().anyMatch(one -> one.getSimpleName().equals(each.getSimpleName()))) {
        throw Refused.because(
            RefusalKind.OWNER_TYPE_VARIABLE,
            OwnerClass.signature(method),
            owner.trees().place(method.tree()));
      }
    }
    return needed;
  }

  private void collect(TypeMirror type, Set<TypeParameterElement> found) {
    TypeNames.variables(type).stream()
        .filter(variable -> variable.getGenericElement().equals(owner.element()))
        .forEach(found::add);
  }

  private void widenSeen() {
    Sight sight = new Sight(target.element(), program().elements());
    String subject = OwnerClass.signature(method);
    Set<Tree> given = new HashSet<>();
    code.asked().forEach(asked -> given.add(asked.path().getLeaf()));
    for (TreePath path : code.seen()) {
      Element element = owner.trees().element(path);
      boolean asked = !passesOwner() && given.contains(path.getLeaf());
      boolean made = element.getKind() == ElementKind.CONSTRUCTOR && !isWritten(element);
      Element open = made ? element.getEnclosingElement() : element;
      boolean itself = open.equals(method.element()) && !(passesOwner() && delegate);
      if (!asked && !itself && sight.hides(open)) {
        widening.open(open, sight, subject, owner.trees().place(path.getLeaf()));
      }
    }
    if (passesOwner()
        && MovedCode.isWithinGeneric(owner.element())
        && !(through instanceof Through.Around)) {
      throw Refused.because(
          RefusalKind.OWNER_TYPE_VARIABLE, subject, owner.trees().place(method.tree()));
    }
    if (passesOwner() && sight.hides(owner.element())) {
      widening.open(owner.element(), sight, subject, owner.trees().place(method.tree()));
    }
  }

  private boolean isWritten(Element constructor) {
    TreePath path = program().trees().getPath(constructor);
    return path == null
        || program()
                .trees()
                .getSourcePositions()
                .getEndPosition(path.getCompilationUnit(), path.getLeaf())
            >= 0;
  }

  /** Notes that code of a class calls the method in its new place. */
  void seenFrom(javax.lang.model.element.TypeElement caller) {
    Sight sight = new Sight(caller, program().elements());
    Level level =
        sight.isWithinSameOutermost(target.element())
            ? Level.PRIVATE
            : sight.isNear(target.element()) ? Level.PACKAGE : Level.PUBLIC;
    if (level.compareTo(wanted) > 0) {
      wanted = level;
    }
    if (sight.hides(target.element())) {
      widening.open(
          target.element(),
          sight,
          OwnerClass.signature(method),
          target.trees().place(target.tree()));
    }
  }

  /** How far the method was seen in its old place. */
  Level before() {
    Set<Modifier> modifiers = method.element().getModifiers();
    return modifiers.contains(Modifier.PUBLIC)
        ? Level.PUBLIC
        : modifiers.contains(Modifier.PROTECTED)
            ? Level.PROTECTED
            : modifiers.contains(Modifier.PRIVATE) ? Level.PRIVATE : Level.PACKAGE;
  }

  /** How far it must be seen in its new place. */
  Level level() {
    Level level = before().compareTo(wanted) > 0 ? before() : wanted;
    boolean ofInterface = target.element().getKind().isInterface();
    return ofInterface && level != Level.PRIVATE ? Level.PUBLIC : level;
  }

  Optional<String> visibilityChange() {
    return level().compareTo(before()) > 0
        ? Optional.of(
            "%s#%s: %s -> %s".formatted(target.simpleName(), name, before().word(), level().word()))
        : Optional.empty();
  }

  /** Its key in its new place. */
  String newKey() {
    List<String> erased = new ArrayList<>();
    if (passesOwner()) {
      erased.add(erasure(owner.element().asType()));
    }
    List<? extends VariableElement> parameters = method.element().getParameters();
    for (int i : kept()) {
      boolean last = isVarArgs() && i == parameters.size() - 1;
      if (last) {
        values().forEach(value -> erased.add(erasure(value.type())));
      }
      erased.add(erasure(parameters.get(i).asType()));
    }
    if (!isVarArgs()) {
      values().forEach(value -> erased.add(erasure(value.type())));
    }
    return Symbols.methodKey(target.binaryName(), name, erased);
  }

  private String erasure(TypeMirror type) {
    return program().types().erasure(type).toString();
  }

  /** The key of a symbol as the moved code sees it after the change. */
  String key(Element element) {
    if (element instanceof TypeParameterElement variable
        && (variables.contains(variable)
            || variable.getGenericElement().equals(method.element()))) {
      return "tvar " + variable.getSimpleName() + " of " + newKey();
    }
    return program().symbols().key(element);
  }

  boolean returns() {
    return method.element().getReturnType().getKind() != TypeKind.VOID;
  }
}
