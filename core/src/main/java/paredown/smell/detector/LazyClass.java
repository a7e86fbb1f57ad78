package paredown.smell.detector;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import paredown.facts.Access;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.Size;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Smell;
import paredown.text.Listed;

/**
 * A lazy class does too little to justify itself: it only passes calls on, adds nothing to the
 * class above it, wraps one value with nothing about it, holds one small method for a single
 * client, or is used by nobody any more.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3 ("Lazy class", "Middle man"). Never lazy are
 * exceptions, annotated and abstract classes, markers, holders of constants, entry points, and, for
 * use by nobody or one client only, what is public in a library.
 */
public final class LazyClass implements Detector {
  private static final int SMALL = 4;

  /** So many data that belong together are a thing of their own. */
  private static final int THING = 3;

  /** More static methods than this are a library. */
  private static final int HELPERS = 8;

  /** What a class could wrap and be no more than; an object of the project is another matter. */
  private static final Pattern PLAIN =
      Pattern.compile(
          "boolean|byte|short|int|long|float|double|char|Boolean|Byte|Short|Integer|Long|Float"
              + "|Double|Character|String|(?:java\\.time\\.)?(?:Instant|LocalDate\\w*|Duration)"
              + "|(?:java\\.math\\.)?Big\\w+");

  @Override
  public Stream<Finding> find(Grounds grounds) {
    return grounds
        .judged()
        .filter(LazyClass::mayBeLazy)
        .flatMap(type -> judge(type, grounds).stream());
  }

  private static boolean isMain(MethodFact method) {
    return method.name().equals("main") && method.isStatic();
  }

  private static boolean mayBeLazy(TypeFact type) {
    boolean framed =
        type.head().isFramed()
            || type.methods().stream().anyMatch(method -> method.head().isFramed())
            || type.fields().stream().anyMatch(field -> field.head().isFramed());
    return type.isClass()
        && !type.isException()
        && !type.isAbstract()
        && !framed
        && type.methods().stream().noneMatch(LazyClass::isMain);
  }

  private static Optional<Finding> judge(TypeFact type, Grounds grounds) {
    boolean open = type.isPublic() || type.head().is(Modifier.PROTECTED);
    Set<String> clients = grounds.clients().of(type);
    Optional<Finding> found = passesOn(type, grounds);
    if (found.isEmpty()) {
      found = addsNothing(type, grounds);
    }
    if (found.isEmpty()) {
      found = helpsSeveral(type, grounds);
    }
    if (found.isEmpty() && !clients.isEmpty()) {
      found = wraps(type, grounds);
    }
    if (found.isEmpty() && !open && type.outer().isEmpty()) {
      found =
          clients.isEmpty() && !usedInItsFile(type, grounds)
              ? Optional.of(unused(type, grounds))
              : servesOne(type, clients, grounds).or(() -> isPassedThrough(type, clients, grounds));
    }
    return found;
  }

  private static List<MethodFact> instanceMethods(TypeFact type) {
    return type.methods().stream()
        .filter(method -> !method.isConstructor() && !method.isStatic())
        .toList();
  }

  /** All its methods only pass their parameters on to the one object it holds. */
  private static Optional<Finding> passesOn(TypeFact type, Grounds grounds) {
    List<MethodFact> methods = instanceMethods(type);
    boolean all =
        methods.size() >= grounds.limits().lazyForwards()
            && methods.stream().allMatch(method -> method.forwards().isPresent())
            && methods.stream().noneMatch(method -> givesItself(type, method))
            && type.methods().stream().noneMatch(MethodFact::isStatic)
            && type.instanceFields().size() == 1
            && type.supertypes().stream().allMatch("java.lang.Object"::equals);
    if (!all) {
      return Optional.empty();
    }
    String target = methods.get(0).forwards().orElseThrow().use().type();
    List<Evidence.Row> rows =
        methods.stream()
            .map(
                method ->
                    row(method, List.of("to " + method.forwards().orElseThrow().use().member())))
            .toList();
    Evidence.Figure figure =
        new Evidence.Figure(
            "forwards",
            methods.size(),
            grounds.limits().lazyForwards(),
            "all its %d methods only pass the call on to %s"
                .formatted(methods.size(), Finding.shortName(target)));
    return Optional.of(
        finding(
            type,
            Form.GO_BETWEEN,
            35 + (int) Math.round(20 * (1 - 1.0 / methods.size())),
            "only passes calls on to " + Finding.shortName(target),
            "%s only passes calls on; who calls it could call %s.",
            target,
            List.of(figure, clientsFigure(type, grounds)),
            "Every method passes on what it is given:",
            rows));
  }

  /** A class below another one of the project that neither adds nor changes anything. */
  private static Optional<Finding> addsNothing(TypeFact type, Grounds grounds) {
    TypeFact above = grounds.types().get(type.superclass());
    boolean nothing =
        above != null
            && type.fields().isEmpty()
            && type.methods().stream().allMatch(MethodFact::passesUp)
            && type.initialising().statements() == 0
            && !above.isAbstract()
            && above.supertypes().size() + 1 == type.supertypes().size();
    if (!nothing) {
      return Optional.empty();
    }
    Evidence.Figure figure =
        new Evidence.Figure("members", 0, 0, "no field and no method of its own");
    return Optional.of(
        finding(
            type,
            Form.EMPTY,
            35,
            "adds nothing to " + Finding.shortName(above.name()),
            "%s adds nothing to %s, the class above it.",
            above.name(),
            List.of(figure, clientsFigure(type, grounds)),
            "",
            List.of()));
  }

  private static boolean usedInItsFile(TypeFact type, Grounds grounds) {
    return grounds.facts().types().stream()
        .filter(other -> other != type && other.sharesFileWith(type))
        .anyMatch(
            other -> other.mentions().contains(type.name()) && !other.outer().equals(type.name()));
  }

  /** One value, which it gets when it is made and gives as it is. */
  private static Optional<Finding> wraps(TypeFact type, Grounds grounds) {
    List<MethodFact> methods = instanceMethods(type);
    List<MethodFact> made = type.constructors();
    boolean bare =
        type.fields().size() == 1
            && type.instanceFields().size() == 1
            && PLAIN.matcher(type.fields().get(0).type()).matches()
            && methods.size() == 1
            && methods.get(0).isAccessor()
            && type.methods().stream().noneMatch(MethodFact::isStatic)
            && made.size() == 1
            && made.get(0).parameters().size() == 1
            && made.get(0).branches() == 1
            && type.supertypes().stream().allMatch("java.lang.Object"::equals);
    if (!bare) {
      return Optional.empty();
    }
    String value = type.fields().get(0).name();
    return Optional.of(
        finding(
            type,
            Form.EMPTY,
            31,
            "only wraps its " + value,
            "%s only wraps one value, and neither checks it nor does anything with it.",
            "",
            List.of(
                new Evidence.Figure("members", 2, 2, "one field, and one method that gives it"),
                clientsFigure(type, grounds)),
            "This is all of it:",
            List.of(row(methods.get(0), List.of()))));
  }

  private static Finding unused(TypeFact type, Grounds grounds) {
    boolean tested = grounds.facts().testWords().hold(type.simpleName());
    List<Evidence.Figure> figures =
        List.of(
            new Evidence.Figure(
                "clients",
                0,
                -1,
                tested ? "no class uses it but tests" : "no class uses it, and no test"));
    return finding(
        type,
        Form.UNUSED,
        tested ? 40 : 45,
        tested ? "only tests use it" : "nobody uses it",
        "Nobody uses %s any more" + (tested ? " but tests." : "."),
        "",
        figures,
        "",
        List.of());
  }

  /** One small method, with hardly any state, for one class only. */
  private static Optional<Finding> servesOne(TypeFact type, Set<String> clients, Grounds grounds) {
    List<MethodFact> methods =
        type.methods().stream().filter(method -> !method.isConstructor()).toList();
    boolean one =
        clients.size() == 1
            && methods.size() == 1
            && type.fields().size() <= 1
            && Size.weightedMethods(type) <= SMALL
            && !usedInItsFile(type, grounds)
            && type.supertypes().stream().allMatch("java.lang.Object"::equals);
    if (!one) {
      return Optional.empty();
    }
    String client = clients.iterator().next();
    Evidence.Figure figure =
        new Evidence.Figure(
            "branches",
            Size.weightedMethods(type),
            SMALL,
            "%d ways through it; up to %d are few".formatted(Size.weightedMethods(type), SMALL));
    return Optional.of(
        finding(
            type,
            Form.SINGLE,
            32 - Size.weightedMethods(type),
            "one small method, for %s only".formatted(Finding.shortName(client)),
            "%s has one small method, and only %s uses it.",
            client,
            List.of(figure, clientsFigure(type, grounds)),
            "This is all of it:",
            List.of(row(methods.get(0), List.of()))));
  }

  /** Its one client holds an object of it, and passes every method of it on. */
  private static Optional<Finding> isPassedThrough(
      TypeFact type, Set<String> clients, Grounds grounds) {
    List<MethodFact> methods =
        type.methods().stream()
            .filter(method -> !method.isConstructor() && !method.head().is(Modifier.PRIVATE))
            .toList();
    TypeFact client = clients.size() == 1 ? grounds.types().get(clients.iterator().next()) : null;
    boolean little =
        client != null
            && type.instanceFields().size() < THING
            && methods.size() >= grounds.limits().lazyForwards()
            && methods.stream().noneMatch(MethodFact::isStatic)
            && Size.methodsWithLogic(type) <= 1
            && Size.weightedMethods(type) <= type.methods().size() + SMALL
            && type.supertypes().stream().allMatch("java.lang.Object"::equals);
    if (!little) {
      return Optional.empty();
    }
    List<Evidence.Row> rows = new ArrayList<>();
    for (MethodFact method : methods) {
      client.methods().stream()
          .filter(by -> passes(by, type, method))
          .findFirst()
          .ifPresent(by -> rows.add(row(method, List.of("passed on by " + by.signature()))));
    }
    if (rows.size() < methods.size()) {
      return Optional.empty();
    }
    String name = Finding.shortName(client.name());
    Evidence.Figure figure =
        new Evidence.Figure(
            "passed",
            methods.size(),
            grounds.limits().lazyForwards(),
            "%s passes all its %d methods on".formatted(name, methods.size()));
    return Optional.of(
        finding(
            type,
            Form.SINGLE,
            34,
            "a part of %s, which passes all its methods on".formatted(name),
            "%s is a part of %s only, which passes on every method of it.",
            client.name(),
            List.of(figure, clientsFigure(type, grounds)),
            "Every method stands in both:",
            rows));
  }

  private static boolean passes(MethodFact by, TypeFact type, MethodFact method) {
    return by.forwards()
        .map(Access::use)
        .filter(use -> use.type().equals(type.name()) && use.member().equals(method.signature()))
        .isPresent();
  }

  /** Whether what a method passes its call on to is given its object, too. */
  private static boolean givesItself(TypeFact type, MethodFact method) {
    return method.forwards().stream()
        .flatMap(to -> Stream.of(to.use().member().replaceAll(".*\\(|\\)", "").split(", ?")))
        .anyMatch(type.simpleName()::equals);
  }

  /** Static methods without state, each of which one other class alone calls, and not the same. */
  private static Optional<Finding> helpsSeveral(TypeFact type, Grounds grounds) {
    List<MethodFact> methods =
        type.methods().stream()
            .filter(method -> !method.isConstructor() && !method.isPrivate())
            .toList();
    boolean bag =
        methods.size() >= 2
            && methods.size() <= HELPERS
            && methods.stream().allMatch(MethodFact::isStatic)
            && type.fields().isEmpty()
            && !isAboutOne(methods, grounds);
    if (!bag) {
      return Optional.empty();
    }
    Map<String, Set<String>> users = grounds.clients().ofMembers(type);
    Set<String> served = new TreeSet<>();
    List<Evidence.Row> rows = new ArrayList<>();
    for (MethodFact method : methods) {
      Set<String> own = users.getOrDefault(method.signature(), Set.of());
      if (own.size() != 1) {
        return Optional.empty();
      }
      served.addAll(own);
      rows.add(row(method, List.of("for " + Finding.shortName(own.iterator().next()))));
    }
    if (served.size() < 2) {
      return Optional.empty();
    }
    String said = "%d static methods, each for one class".formatted(methods.size());
    return Optional.of(
        finding(
            type,
            Form.UNUSED,
            32,
            said,
            "%s has nothing of its own; each of its methods serves one class.",
            "",
            List.of(
                new Evidence.Figure("helpers", methods.size(), 2, said),
                clientsFigure(type, grounds)),
            "Who calls what:",
            rows));
  }

  /** Whether all that take something take an object of the same class: that is what joins them. */
  private static boolean isAboutOne(List<MethodFact> methods, Grounds grounds) {
    Set<String> about = new TreeSet<>();
    for (MethodFact method : methods) {
      if (!method.parameters().isEmpty()) {
        about.add(method.parameters().get(0).type());
      }
    }
    return about.size() == 1
        && grounds.facts().types().stream()
            .anyMatch(each -> each.simpleName().equals(about.iterator().next()));
  }

  private static Evidence.Figure clientsFigure(TypeFact type, Grounds grounds) {
    List<String> clients =
        grounds.clients().of(type).stream().map(Finding::shortName).limit(8).toList();
    return new Evidence.Figure(
        "clients",
        grounds.clients().of(type).size(),
        -1,
        clients.isEmpty() ? "used by no other class" : "used by " + Listed.of(clients));
  }

  private static Evidence.Row row(MethodFact method, List<String> uses) {
    return Evidence.Row.at(method.range(), method.signature(), uses);
  }

  private static Finding finding(
      TypeFact type,
      Form form,
      int weight,
      String summary,
      String claim,
      String home,
      List<Evidence.Figure> figures,
      String says,
      List<Evidence.Row> rows) {
    List<String> members = new ArrayList<>();
    type.fields().forEach(field -> members.add(field.name()));
    type.methods().forEach(method -> members.add(method.signature()));
    return new Finding(
        Smell.LAZY_CLASS,
        form,
        weight,
        type.name(),
        List.of(),
        members,
        type.range(),
        summary,
        claim.formatted(Finding.shortName(type.name()), Finding.shortName(home)),
        new Evidence(figures, says, List.of(), rows, home.isEmpty() ? List.of() : List.of(home)));
  }
}
