package paredown.smell;

import java.util.Set;
import java.util.stream.Stream;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.MethodFact.MemberUse;
import paredown.facts.TypeFact;
import paredown.measure.Representation;
import paredown.text.NameWords;

/** Which methods could live in another class, and which classes could take them. */
public final class Movable {
  private static final Set<String> BY_TRADE =
      Set.of("Mapper", "Builder", "Visitor", "Converter", "Factory", "Serializer", "Deserializer");

  private static final Set<String> CARRYING =
      Set.of(
          "read",
          "write",
          "parse",
          "format",
          "print",
          "generate",
          "encode",
          "decode",
          "serialize",
          "deserialize",
          "render",
          "dump",
          "load",
          "save",
          "to",
          "convert");

  /** How the names of types end that are texts and streams. */
  private static final Set<String> FORMS =
      Set.of(
          "String",
          "StringBuilder",
          "StringBuffer",
          "CharSequence",
          "Appendable",
          "Stream",
          "Buffer",
          "Reader",
          "Writer",
          "DataInput",
          "DataOutput",
          "byte[]",
          "char[]");

  /** How the names of types end that hold what others are set up with. */
  private static final Set<String> CONFIGURATION =
      Set.of(
          "Settings",
          "Config",
          "Configuration",
          "Options",
          "Preferences",
          "Properties",
          "Parameters",
          "Limits");

  private Movable() {}

  /**
   * Whether a method's use of foreign data can be envy. Constructors and bodiless methods have no
   * choice; what overrides is called by its name from elsewhere ({@code equals} and visitors among
   * them); what makes an object of the type that it gives back maps or builds, as does a static
   * method that gives one of its own class, and classes named for that do so by trade, as do those
   * that are named for showing others as text.
   */
  public static boolean mayBeEnvious(Owned owned, Grounds grounds) {
    MethodFact method = owned.method();
    return !method.isConstructor()
        && !method.isAbstract()
        && !method.overrides()
        && !method.head().isFramed()
        && !method.head().isDeprecated()
        && !method.isAccessor()
        && !makes(method, grounds)
        && !givesOwn(owned)
        && !isOneOfSeveral(owned)
        && !Representation.isByTrade(owned.type(), method)
        && BY_TRADE.stream().noneMatch(trade -> owned.type().simpleName().endsWith(trade))
        && !(method.name().equals("main") && method.isStatic());
  }

  private static boolean makes(MethodFact method, Grounds grounds) {
    String result = result(method);
    return method.uses().stream()
        .filter(use -> use.kind() == MemberUse.Kind.CREATE)
        .flatMap(use -> kinds(use.type(), grounds))
        .anyMatch(kind -> ("." + kind).endsWith("." + result));
  }

  /** A static method that gives an object of its own class makes it, or has it made. */
  private static boolean givesOwn(Owned owned) {
    return owned.method().isStatic() && result(owned.method()).equals(owned.type().simpleName());
  }

  /** Whether methods of one name have their work done by others of their class, or each other. */
  private static boolean isOneOfSeveral(Owned owned) {
    MethodFact method = owned.method();
    return passesOn(owned.type(), method)
        && owned.type().methods().stream()
            .filter(each -> each != method && each.name().equals(method.name()))
            .anyMatch(each -> passesOn(owned.type(), each));
  }

  private static boolean passesOn(TypeFact type, MethodFact method) {
    return method.callsOf(type.name()).stream()
        .flatMap(called -> type.method(called).stream())
        .anyMatch(called -> called.isPrivate() || called.name().equals(method.name()));
  }

  /** The type that a method gives, without its arguments. */
  private static String result(MethodFact method) {
    return method.result().replaceAll("<.*", "");
  }

  /** A type and those above it. */
  private static Stream<String> kinds(String type, Grounds grounds) {
    TypeFact made = grounds.types().get(type);
    return made == null
        ? Stream.of(type)
        : Stream.concat(Stream.of(type), made.supertypes().stream());
  }

  /** Whether a method carries data into or out of a text or a stream, whose form it knows. */
  public static boolean carries(MethodFact method) {
    return NameWords.of(method.name()).stream().anyMatch(CARRYING::contains)
        && Stream.concat(
                Stream.of(method.result()),
                method.parameters().stream().map(MethodFact.Parameter::type))
            .anyMatch(type -> FORMS.stream().anyMatch(type::endsWith));
  }

  /**
   * Whether a class could take code that uses these types. Interfaces have no data; records are
   * transparent carriers of data on purpose, and so are settings that never change; an iterator is
   * made to be asked; generated code has no author; and no package may come to use one that uses
   * it.
   */
  public static boolean canHold(
      String provider, MethodFact method, Set<String> used, Grounds grounds) {
    TypeFact target = grounds.types().get(provider);
    boolean kind =
        target != null
            && target.kind() != TypeFact.Kind.INTERFACE
            && target.kind() != TypeFact.Kind.RECORD
            && target.kind() != TypeFact.Kind.ANNOTATION;
    return kind
        && !target.simpleName().endsWith("Iterator")
        && !target.hasErrors()
        && !isConfiguration(target)
        && !target.head().annotations().contains("Generated")
        && target.method(method.signature()).isEmpty()
        && !grounds.packages().wouldCircle(provider, used);
  }

  /** Whether a class only holds what others are set up with, as its name says. */
  private static boolean isConfiguration(TypeFact type) {
    return CONFIGURATION.stream().anyMatch(word -> type.simpleName().endsWith(word))
        && type.instanceFields().stream().allMatch(FieldFact::isFinal)
        && type.methods().stream()
            .filter(each -> !each.isConstructor() && !each.isStatic())
            .allMatch(each -> each.isAccessor() || result(each).equals(type.simpleName()));
  }
}
