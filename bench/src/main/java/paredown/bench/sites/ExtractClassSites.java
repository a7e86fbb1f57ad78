package paredown.bench.sites;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.remedy.MovableMethods;

/**
 * For every class of a library that has two fields of its own, sets of one to three of them drawn
 * by lot, and the set that each method uses, alone, and twice more with the methods that use
 * nothing else: with delegates, without, and in another package; and twice with all methods that
 * use them, which receive their old object or its values where they need it. One to three methods
 * by lot without a field, which receive their old object and leave nothing behind. And the first
 * static methods of every class, with the static fields that they use.
 */
public final class ExtractClassSites implements Sites {
  private static final int SETS = 24;
  private static final int STATICS = 6;
  private static final int ALONE = 2;
  private static final String NAME = "ExtractedPart";

  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    Enumeration enumeration = new Enumeration(new Callers(facts), random, new ArrayList<>());
    facts.types().stream()
        .filter(type -> type.kind() == TypeFact.Kind.CLASS && isMain.test(type.range().file()))
        .forEach(enumeration::add);
    return enumeration.sites();
  }

  /** The sites of some types, found one after the other. */
  private record Enumeration(Callers callers, Random random, List<Site> sites) {

    void add(TypeFact type) {
      if (type.instanceFields().size() >= 2) {
        sets(type).forEach(fields -> add(type, fields));
        addAlone(type);
      }
      type.methods().stream()
          .filter(MethodFact::isStatic)
          .limit(STATICS)
          .forEach(method -> addStatic(type, method));
    }

    private Set<List<String>> sets(TypeFact type) {
      List<String> all =
          new ArrayList<>(type.instanceFields().stream().map(FieldFact::name).toList());
      Set<List<String>> sets = new HashSet<>();
      for (int i = 0; i < Math.min(SETS, 3 * all.size()); i++) {
        Collections.shuffle(all, random);
        int size = 1 + random.nextInt(Math.min(3, all.size() - 1));
        sets.add(List.copyOf(new TreeSet<>(all.subList(0, size))));
      }
      for (MethodFact method : type.methods()) {
        Set<String> fields = new TreeSet<>(method.fieldsOf(type.name()));
        fields.retainAll(all);
        if (!method.isStatic() && !method.isConstructor() && isPart(fields, all)) {
          sets.add(List.copyOf(fields));
        }
      }
      return new java.util.LinkedHashSet<>(
          sets.stream().sorted((a, b) -> a.toString().compareTo(b.toString())).toList());
    }

    private static boolean isPart(Set<String> fields, List<String> all) {
      return !fields.isEmpty() && fields.size() <= 5 && fields.size() < all.size();
    }

    private void add(TypeFact type, List<String> fields) {
      List<String> methods =
          MovableMethods.of(type, new HashSet<>(fields)).stream()
              .map(MethodFact::signature)
              .toList();
      Set<String> elsewhere = new TreeSet<>();
      fields.forEach(field -> elsewhere.addAll(callers.of(type, field)));
      sites.add(
          new Site(
              "fields",
              new ExtractClass(type.name(), fields, List.of(), NAME),
              Set.copyOf(elsewhere)));
      if (!methods.isEmpty()) {
        methods.forEach(method -> elsewhere.addAll(callers.of(type, method)));
        sites.add(site("with methods", type, fields, methods, true, elsewhere));
        sites.add(site("without delegates", type, fields, methods, false, elsewhere));
      }
      addElsewhere(type, fields, methods, elsewhere);
      addReceiving(type, fields);
    }

    /** The same in a package below the old one. */
    private void addElsewhere(
        TypeFact type, List<String> fields, List<String> methods, Set<String> callers) {
      String home = type.name().replaceAll("(\\.\\p{Lu}.*)?$", "") + ".parts";
      ExtractClass.Wishes wishes = ExtractClass.Wishes.NONE.inPackage(home);
      sites.add(
          new Site(
              "other package",
              new ExtractClass(type.name(), fields, methods, NAME, wishes),
              Set.copyOf(callers)));
    }

    /** All methods that use one of the fields, those that need something else among them. */
    private void addReceiving(TypeFact type, List<String> fields) {
      List<String> methods =
          type.methods().stream()
              .filter(MethodFact::isOfObject)
              .filter(method -> method.fieldsOf(type.name()).stream().anyMatch(fields::contains))
              .map(MethodFact::signature)
              .toList();
      if (!methods.isEmpty()) {
        Set<String> elsewhere = new TreeSet<>();
        methods.forEach(method -> elsewhere.addAll(callers.of(type, method)));
        for (ExtractClass.Pass way : ExtractClass.Pass.values()) {
          ExtractClass.Wishes wishes = ExtractClass.Wishes.NONE.pass(way);
          sites.add(
              new Site(
                  "with " + way.name().toLowerCase(),
                  new ExtractClass(type.name(), fields, methods, NAME, wishes),
                  Set.copyOf(elsewhere)));
        }
      }
    }

    /** Methods that the class forgets. */
    private void addAlone(TypeFact type) {
      List<MethodFact> all =
          new ArrayList<>(type.methods().stream().filter(MethodFact::isOfObject).toList());
      for (int i = 0; i < ALONE && !all.isEmpty(); i++) {
        Collections.shuffle(all, random);
        int size = 1 + random.nextInt(Math.min(3, all.size()));
        List<MethodFact> drawn = List.copyOf(all.subList(0, size));
        List<String> methods = drawn.stream().map(MethodFact::signature).toList();
        Set<String> elsewhere = new TreeSet<>();
        methods.forEach(method -> elsewhere.addAll(callers.of(type, method)));
        ExtractClass.Wishes wishes =
            ExtractClass.Wishes.of(Optional.of(false), Set.of()).pass(ExtractClass.Pass.OWNER);
        sites.add(
            new Site(
                "alone",
                new ExtractClass(type.name(), List.of(), methods, NAME, wishes),
                Set.copyOf(elsewhere),
                drawn.stream().noneMatch(ExtractClassSites::isTied)));
      }
    }

    /** A static method with the static fields that it uses. */
    private void addStatic(TypeFact type, MethodFact method) {
      boolean delegate = random.nextBoolean();
      Set<String> used = method.fieldsOf(type.name());
      List<String> fields =
          type.fields().stream()
              .filter(field -> field.isStatic() && used.contains(field.name()))
              .map(FieldFact::name)
              .toList();
      Set<String> elsewhere = new TreeSet<>(callers.of(type, method.signature()));
      fields.forEach(field -> elsewhere.addAll(callers.of(type, field)));
      sites.add(
          site("static parts", type, fields, List.of(method.signature()), delegate, elsewhere));
    }

    private static Site site(
        String kind,
        TypeFact type,
        List<String> fields,
        List<String> methods,
        boolean delegate,
        Set<String> callers) {
      ExtractClass.Wishes wishes = ExtractClass.Wishes.of(Optional.of(delegate), Set.of());
      return new Site(
          kind, new ExtractClass(type.name(), fields, methods, NAME, wishes), Set.copyOf(callers));
    }
  }

  /** Whether something else than a call finds a method where it stands. */
  private static boolean isTied(MethodFact method) {
    return method.overrides()
        || !method.head().annotations().isEmpty()
        || method.name().matches("(?:read|write)Object");
  }

  /** A method that cannot come along is left where it is; a stored shape may change. */
  @Override
  public Optional<Refactoring> instead(Refactoring operation, Refused refused) {
    ExtractClass extraction = (ExtractClass) operation;
    RefusalKind kind = refused.kind();
    if (kind == RefusalKind.SERIALIZED && !extraction.wishes().accepted().contains(kind)) {
      return Optional.of(extraction.accepting(kind));
    }
    List<String> others =
        extraction.methods().stream()
            .filter(each -> !each.replace(" ", "").equals(refused.subject().replace(" ", "")))
            .toList();
    boolean none = others.isEmpty() && extraction.fields().isEmpty();
    return none || others.size() == extraction.methods().size()
        ? Optional.empty()
        : Optional.of(extraction.withMethods(others));
  }
}
