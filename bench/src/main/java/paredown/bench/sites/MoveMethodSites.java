package paredown.bench.sites;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import paredown.facts.Facts;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.text.SourceText;

/**
 * Every method of a library and of its tests that has a body, to the types of its parameters and
 * fields that it asks for something, and of final fields, with a delegate and without; around and
 * within its own, and to one that it has no link to, the delegate and the latter drawn by lot.
 */
public final class MoveMethodSites implements Sites {

  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    List<TypeFact> types =
        facts.types().stream().filter(type -> type.kind() != TypeFact.Kind.ANNOTATION).toList();
    Map<Boolean, List<TypeFact>> sides =
        types.stream().collect(Collectors.partitioningBy(type -> isMain.test(type.range().file())));
    Callers callers = new Callers(facts);
    Resources resources = new Resources(sources.project().root());
    List<Site> sites =
        new ArrayList<>(
            new Enumeration(sides.get(true), sources, resources, callers, random).all());
    sites.addAll(new Enumeration(sides.get(false), sources, resources, callers, random).all());
    return sites;
  }

  /** The sites of some types, found one after the other. */
  private record Enumeration(
      List<TypeFact> types,
      Map<String, List<TypeFact>> bySimpleName,
      Sources sources,
      Resources resources,
      Callers callers,
      Random random,
      List<Site> sites) {

    Enumeration(
        List<TypeFact> types,
        Sources sources,
        Resources resources,
        Callers callers,
        Random random) {
      this(
          types,
          types.stream().collect(Collectors.groupingBy(TypeFact::simpleName)),
          sources,
          resources,
          callers,
          random,
          new ArrayList<>());
    }

    List<Site> all() {
      for (TypeFact type : types) {
        for (MethodFact method : type.methods()) {
          if (!method.isConstructor() && !method.isAbstract()) {
            sites(type, method);
          }
        }
      }
      return sites;
    }

    private void sites(TypeFact type, MethodFact method) {
      for (MethodFact.Parameter parameter : method.parameters()) {
        linked(type, parameter.type())
            .filter(target -> asks(method, target))
            .forEach(target -> both(type, method, "parameter", target, parameter.name()));
      }
      if (!method.isStatic()) {
        for (FieldFact field : type.fields()) {
          if (!field.isStatic()) {
            boolean used = method.fieldsOf(type.name()).contains(field.name());
            linked(type, field.type())
                .filter(target -> field.isFinal() || used && asks(method, target))
                .forEach(target -> both(type, method, "field", target, field.name()));
          }
        }
      }
      if (!type.outer().isEmpty()) {
        add(type, method, "nested", type.outer(), "static");
        if (!method.isStatic()) {
          add(type, method, "nested", type.outer(), "outer");
        }
      }
      types.stream()
          .filter(each -> each.outer().equals(type.name()))
          .forEach(each -> add(type, method, "nested", each.name(), "static"));
      TypeFact other = types.get(random.nextInt(types.size()));
      if (!other.name().equals(type.name())) {
        String how = List.of("static", "static", "new", "new-field").get(random.nextInt(4));
        boolean keeps = how.equals("new-field") || random.nextInt(3) == 0;
        add(
            type,
            method,
            method.isStatic() ? "static" : "no link",
            other.name(),
            method.isStatic() ? "static" : how,
            keeps);
        if (!method.isStatic()) {
          add(type, method, "by callers", other.name(), "callers", false);
        }
      }
    }

    private static boolean asks(MethodFact method, TypeFact target) {
      return method.uses().stream()
          .anyMatch(
              use -> use.type().equals(target.name()) || target.supertypes().contains(use.type()));
    }

    /** The other types that a written type may mean. */
    private Stream<TypeFact> linked(TypeFact from, String type) {
      return bySimpleName
          .getOrDefault(type.substring(type.lastIndexOf('.') + 1), List.of())
          .stream()
          .filter(each -> !each.name().equals(from.name()));
    }

    private void both(
        TypeFact from, MethodFact method, String kind, TypeFact target, String through) {
      add(from, method, kind, target.name(), through, true);
      add(from, method, kind, target.name(), through, false);
    }

    private void add(TypeFact type, MethodFact method, String kind, String target, String through) {
      add(type, method, kind, target, through, random.nextInt(3) == 0);
    }

    private void add(
        TypeFact type,
        MethodFact method,
        String kind,
        String target,
        String through,
        boolean delegate) {
      MoveMethod.Wishes wishes = MoveMethod.Wishes.NONE.through(through).delegate(delegate);
      sites.add(
          new Site(
              kind,
              new MoveMethod(type.name(), method.signature(), target, wishes),
              callers.of(type, method.signature()),
              isLegal(type, method, target, through, delegate)
                  && isWanted(kind, method, target, through)));
    }

    /**
     * Whether somebody could want it, as far as the text tells: a method goes to what it asks for
     * something, not to what it compares with null, or puts another object in the place of.
     */
    private boolean isWanted(String kind, MethodFact method, String target, String through) {
      if (!kind.equals("field") && !kind.equals("parameter")) {
        return true;
      }
      String name = "(?<![\\w.])(this\\s*\\.\\s*)?" + Pattern.quote(through) + "\\s*";
      Pattern doubts = Pattern.compile("%s[!=]=\\s*null|%s=[^=]".formatted(name, name));
      TypeFact taking = type(target);
      return asks(method, taking) && !doubts.matcher(text(method)).find();
    }

    private String text(MethodFact method) {
      SourceText source = sources.text(method.range().file());
      int last = method.range().end().line();
      return source.slice(
          source.lineOffset(method.range().start().line()),
          source.nextLine(source.lineOffset(last)));
    }

    private TypeFact type(String name) {
      return types.stream().filter(each -> each.name().equals(name)).findFirst().orElseThrow();
    }

    private boolean isLegal(
        TypeFact from, MethodFact method, String target, String through, boolean delegate) {
      TypeFact taking = type(target);
      boolean near = taking.range().file().equals(from.range().file());
      boolean tied =
          method.overrides()
              || !method.head().annotations().isEmpty()
              || resources.quote(method.name());
      boolean makes = List.of("new", "new-field", "callers").contains(through);
      boolean made =
          taking.kind() == TypeFact.Kind.CLASS
              && !taking.isAbstract()
              && (taking.constructors().isEmpty()
                  || taking.constructors().stream()
                      .anyMatch(
                          each -> each.parameters().isEmpty() && (near || !each.isPrivate())));
      return (delegate || !tied) && (made || !makes);
    }
  }

  /** Where the name is taken, the method gets another one, as is advised. */
  @Override
  public Optional<Refactoring> instead(Refactoring operation, Refused refused) {
    MoveMethod move = (MoveMethod) operation;
    String name = move.method().replaceAll("\\(.*", "");
    String other = "moved" + Character.toUpperCase(name.charAt(0)) + name.substring(1);
    return refused.kind() == RefusalKind.NAME_TAKEN && !move.command().contains(" --name ")
        ? Optional.of(move.named(other))
        : Optional.empty();
  }
}
