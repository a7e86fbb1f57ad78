package paredown.refactor.alike;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.refactor.code.Part;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.TokenMeaning;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Words;
import paredown.text.NameWords;
import paredown.text.Token;

/**
 * A field of its object that a part reads, and for which a twin reads another, so that the new
 * method takes the value as a parameter.
 *
 * @param places where the part names it
 * @param name of the parameter
 * @param assumed the names of the fields, it and those in its place, that are assumed to have one
 *     value all through
 */
public record GivenField(
    VariableElement field, List<Place> places, String name, Set<String> assumed)
    implements GivenValue {
  private static final int LEAST = 20;

  /**
   * A place that names a field.
   *
   * @param start where {@code this.} begins in front of the name, or the name itself
   * @param name where the name begins
   */
  private record Place(int start, int name, int end) {
    static Place of(UnitTrees trees, TreePath path) {
      return new Place(
          trees.start(path.getLeaf()), trees.nameOffset(path.getLeaf()), trees.end(path.getLeaf()));
    }
  }

  /**
   * The fields that are given, in the order of the text.
   *
   * @param all whether every field of the object is given; else only those in which twins differ
   * @param constants where the part names constants that are given as literals are
   * @param taken the names that are taken; those of the parameters come to them
   */
  static List<GivenField> of(
      UnitTrees trees,
      Part part,
      List<Twin> twins,
      boolean all,
      Set<Integer> constants,
      Set<String> taken) {
    List<GivenField> found = new ArrayList<>();
    FieldNames names = FieldNames.in(trees, part);
    Map<Twin, FieldNames> there = new IdentityHashMap<>();
    twins.forEach(twin -> there.put(twin, FieldNames.in(twin)));
    for (Map.Entry<VariableElement, List<TreePath>> each : names.all().entrySet()) {
      VariableElement field = each.getKey();
      List<Place> places = each.getValue().stream().map(path -> Place.of(trees, path)).toList();
      if (places.stream().anyMatch(place -> constants.contains(place.name()))) {
        continue;
      }
      Set<String> others = new TreeSet<>();
      Set<String> assumed = new TreeSet<>();
      boolean varies = false;
      for (Twin twin : twins) {
        Token own = twin.literals().get(places.get(0).name());
        Optional<VariableElement> local = own == null ? Optional.empty() : local(twin, own);
        varies |= local.isPresent();
        other(trees, field, places.get(0), twin, there.get(twin))
            .ifPresent(
                other -> {
                  others.add(other.getSimpleName().toString());
                  there.get(twin).assumed(other).ifPresent(assumed::add);
                });
      }
      if (all && !field.getModifiers().contains(Modifier.STATIC) || varies || !others.isEmpty()) {
        names.assumed(field).ifPresent(assumed::add);
        found.add(new GivenField(field, places, name(field, others, taken), assumed));
      }
    }
    return found;
  }

  /** The other field that stands in a twin where a field does; empty where it is the same. */
  private static Optional<VariableElement> other(
      UnitTrees trees, VariableElement field, Place place, Twin twin, FieldNames there) {
    String key = trees.program().symbols().key(field);
    Token own = twin.literals().get(place.name());
    return own == null || key.equals(twin.variables().get(key))
        ? Optional.empty()
        : there.at(own.start());
  }

  /**
   * Whether the fields that a twin reads can be given where the part reads others. In little code
   * another field is another thing.
   */
  public static boolean fit(UnitTrees trees, Part part, Twin twin) {
    boolean little = trees.source().tokens(part.start(), part.end()).size() < LEAST;
    FieldNames here = FieldNames.in(trees, part);
    FieldNames there = FieldNames.in(twin);
    for (Token token : trees.source().tokens(part.start(), part.end())) {
      Token own = twin.literals().get(token.start());
      if (own == null
          || !token.isIdentifier()
          || own.isLiteral()
          || !differs(trees, token, twin, own)) {
        continue;
      }
      VariableElement one = here.at(token.start()).orElse(null);
      Optional<VariableElement> local = local(twin, own);
      VariableElement other = local.or(() -> there.at(own.start())).orElse(null);
      boolean given =
          one != null
              && other != null
              && trees.program().types().isSameType(one.asType(), other.asType())
              && here.steadiness(one) != Steadiness.CHANGES
              && (local.isPresent() || !little && there.steadiness(other) != Steadiness.CHANGES);
      if (!given) {
        return false;
      }
    }
    return true;
  }

  /** The variable around a twin that stands where a part has a field; empty where none does. */
  private static Optional<VariableElement> local(Twin twin, Token own) {
    UnitTrees there = twin.trees();
    List<VariableElement> found = new ArrayList<>();
    var scanner =
        new TreePathScanner<Void, Void>() {
          @Override
          public Void visitIdentifier(IdentifierTree tree, Void unused) {
            if (there.start(tree) == own.start()
                && there.element(getCurrentPath()) instanceof VariableElement variable
                && Symbols.isLocal(variable)) {
              found.add(variable);
            }
            return null;
          }
        };
    twin.part().trees().forEach(each -> scanner.scan(each, null));
    return found.stream().filter(each -> !declares(twin, each)).findFirst();
  }

  private static boolean declares(Twin twin, VariableElement variable) {
    TreePath path = twin.trees().program().trees().getPath(variable);
    return path != null && twin.part().holds(twin.trees().start(path.getLeaf()));
  }

  private static boolean differs(UnitTrees trees, Token token, Twin twin, Token own) {
    return !TokenMeaning.of(trees, token).equals(TokenMeaning.of(twin.trees(), own));
  }

  /** The types of the fields of the object that a part names. */
  public static List<TypeMirror> types(UnitTrees trees, Part part) {
    return FieldNames.in(trees, part).ofObject().stream().map(VariableElement::asType).toList();
  }

  /** Whether every field of the object that a part names has one value all through it. */
  public static boolean areSteady(UnitTrees trees, Part part) {
    FieldNames names = FieldNames.in(trees, part);
    return names.ofObject().stream()
        .allMatch(field -> names.steadiness(field) == Steadiness.STEADY);
  }

  /** Its own name where no other stands for it; else what all names share, or a plain word. */
  private static String name(VariableElement field, Set<String> others, Set<String> words) {
    String own = field.getSimpleName().toString();
    List<String> all = new ArrayList<>(others);
    all.add(own);
    String plain =
        others.isEmpty() || others.equals(Set.of(own))
            ? own
            : NameWords.shared(all).orElseGet(() -> plain(field.asType()));
    String name = plain;
    boolean free = plain.equals(own) || !words.contains(plain);
    for (int i = 2; !free; i++) {
      name = plain + i;
      free = !words.contains(name);
    }
    words.add(name);
    return name;
  }

  private static String plain(TypeMirror type) {
    String simple = type.toString().replaceAll("<.*", "").replaceAll(".*\\.", "");
    if (simple.endsWith("[]") || type.toString().matches("java\\.util\\.[A-Z]\\w*<.*")) {
      return "items";
    }
    return switch (simple) {
      case "String" -> "text";
      case "boolean", "Boolean" -> "flag";
      case "char", "Character" -> "sign";
      default ->
          type.getKind().isPrimitive() || simple.matches("Integer|Long|Double")
              ? "number"
              : Words.variable(simple);
    };
  }

  @Override
  public int start() {
    return places.get(0).start();
  }

  @Override
  public TypeMirror type() {
    return field.asType();
  }

  @Override
  public List<Replacement> taken(UnitTrees trees) {
    List<Replacement> taken = new ArrayList<>();
    for (Place each : places) {
      Written local = Written.text("").local(name).done();
      String why = "its callers give it";
      taken.add(
          each == places.get(0)
              ? Replacement.of(each.start(), each.end(), local).proving(why)
              : Rewriting.of(trees, each.start(), each.end(), why, local));
    }
    return taken;
  }

  /** The field that a call gives: this, or a twin's own. */
  @Override
  public Carried given(UnitTrees trees, Twin twin) {
    Place first = places.get(0);
    Token own = twin == null ? null : twin.literals().get(first.name());
    if (own == null) {
      return Carried.range(trees.path(), first.start(), first.end());
    }
    Place there =
        FieldNames.in(twin)
            .place(own.start())
            .map(path -> Place.of(twin.trees(), path))
            .orElseGet(() -> new Place(own.start(), own.start(), own.end()));
    return Carried.range(twin.trees().path(), there.start(), there.end());
  }
}
