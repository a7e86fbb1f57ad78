package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.code.Part;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.TokenMeaning;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Words;
import paredown.refactor.effect.Deed;
import paredown.refactor.effect.Deeds;
import paredown.refactor.effect.Effects;
import paredown.text.NameWords;
import paredown.text.Token;

/**
 * A field of its object that a part reads, and for which a twin reads another, so that the new
 * method takes the value as a parameter.
 *
 * @param starts where the part names it
 * @param name of the parameter
 */
record GivenField(VariableElement field, List<Integer> starts, String name) implements GivenValue {
  private static final int LEAST = 20;

  /**
   * The fields that are given, in the order of the text.
   *
   * @param all whether every field of the object is given; else only those in which twins differ
   * @param words the names that are taken; those of the parameters come to them
   */
  static List<GivenField> of(
      UnitTrees trees, Part part, List<Twin> twins, boolean all, Set<String> words) {
    List<GivenField> found = new ArrayList<>();
    named(trees, part)
        .forEach(
            (field, paths) -> {
              List<Integer> starts =
                  paths.stream().map(path -> trees.start(path.getLeaf())).toList();
              boolean ofObject = !field.getModifiers().contains(Modifier.STATIC);
              Set<String> others = others(trees, field, starts, twins);
              if (all && ofObject || !others.isEmpty()) {
                found.add(new GivenField(field, starts, name(field, others, words)));
              }
            });
    return found;
  }

  /** The names of other fields that stand in twins where a field does. */
  private static Set<String> others(
      UnitTrees trees, VariableElement field, List<Integer> starts, List<Twin> twins) {
    Set<String> others = new TreeSet<>();
    String key = trees.program().symbols().key(field);
    for (Twin twin : twins) {
      Token own = twin.literals().get(starts.get(0));
      if (own != null && !key.equals(twin.variables().get(key))) {
        others.add(twin.trees().source().slice(own.start(), own.end()));
      }
    }
    return others;
  }

  /** The fields that a part names alone, each with the places where it does. */
  private static Map<VariableElement, List<TreePath>> named(UnitTrees trees, Part part) {
    Map<VariableElement, List<TreePath>> found = new LinkedHashMap<>();
    var scanner =
        new TreePathScanner<Void, Void>() {
          @Override
          public Void visitIdentifier(IdentifierTree tree, Void unused) {
            if (trees.element(getCurrentPath()) instanceof VariableElement field
                && field.getKind() == ElementKind.FIELD
                && !tree.getName().contentEquals("this")
                && !tree.getName().contentEquals("super")) {
              found.computeIfAbsent(field, each -> new ArrayList<>()).add(getCurrentPath());
            }
            return null;
          }
        };
    part.trees().forEach(each -> scanner.scan(each, null));
    return found;
  }

  /**
   * Whether the fields that a twin reads can be given where the part reads others. In little code
   * another field is another thing.
   */
  static boolean fit(UnitTrees trees, Part part, Twin twin) {
    boolean little = trees.source().tokens(part.start(), part.end()).size() < LEAST;
    Map<VariableElement, List<TreePath>> here = named(trees, part);
    Map<VariableElement, List<TreePath>> there = named(twin.trees(), twin.part());
    for (Token token : trees.source().tokens(part.start(), part.end())) {
      Token own = twin.literals().get(token.start());
      if (own == null || !token.isIdentifier()) {
        continue;
      }
      VariableElement one = at(here, trees, token.start());
      VariableElement other = at(there, twin.trees(), own.start());
      boolean same = one != null && one.equals(other);
      boolean given =
          one != null
              && other != null
              && !little
              && trees.program().types().isSameType(one.asType(), other.asType())
              && isSteady(trees, part, one, here.get(one))
              && isSteady(twin.trees(), twin.part(), other, there.get(other));
      if (!same && !given && differs(trees, token, twin, own)) {
        return false;
      }
    }
    return true;
  }

  private static boolean differs(UnitTrees trees, Token token, Twin twin, Token own) {
    return !TokenMeaning.of(trees, token).equals(TokenMeaning.of(twin.trees(), own));
  }

  private static VariableElement at(
      Map<VariableElement, List<TreePath>> named, UnitTrees trees, int start) {
    return named.entrySet().stream()
        .filter(
            each -> each.getValue().stream().anyMatch(path -> trees.start(path.getLeaf()) == start))
        .map(Map.Entry::getKey)
        .findFirst()
        .orElse(null);
  }

  /** The types of the fields of the object that a part names. */
  static List<TypeMirror> types(UnitTrees trees, Part part) {
    return named(trees, part).keySet().stream()
        .filter(field -> !field.getModifiers().contains(Modifier.STATIC))
        .map(VariableElement::asType)
        .toList();
  }

  /** Whether every field of the object that a part names has one value all through it. */
  static boolean areSteady(UnitTrees trees, Part part) {
    return named(trees, part).entrySet().stream()
        .filter(each -> !each.getKey().getModifiers().contains(Modifier.STATIC))
        .allMatch(each -> isSteady(trees, part, each.getKey(), each.getValue()));
  }

  /** Whether a field has one value all through a part, which reads it. */
  private static boolean isSteady(
      UnitTrees trees, Part part, VariableElement field, List<TreePath> named) {
    if (named.stream().anyMatch(GivenField::isSet)) {
      return false;
    }
    if (field.getModifiers().contains(Modifier.FINAL)) {
      return true;
    }
    Effects effects = new Effects(trees.program());
    return !field.getModifiers().contains(Modifier.VOLATILE)
        && named.stream().noneMatch(path -> isLater(path, part))
        && part.trees().stream().map(effects::of).noneMatch(deeds -> couldSet(deeds, field));
  }

  private static boolean couldSet(Deeds deeds, VariableElement field) {
    return deeds.has(Deed.UNKNOWN) || deeds.fields().contains(field);
  }

  private static boolean isSet(TreePath name) {
    Tree above = name.getParentPath().getLeaf();
    return above instanceof AssignmentTree assignment && assignment.getVariable() == name.getLeaf()
        || above instanceof CompoundAssignmentTree compound
            && compound.getVariable() == name.getLeaf()
        || above instanceof UnaryTree unary && unary.getKind().name().contains("CREMENT");
  }

  /** Whether a name is read when the part may be over. */
  private static boolean isLater(TreePath name, Part part) {
    Set<Tree> whole = new HashSet<>();
    part.trees().forEach(each -> whole.add(each.getLeaf()));
    for (TreePath at = name; !whole.contains(at.getLeaf()); at = at.getParentPath()) {
      if (at.getLeaf() instanceof LambdaExpressionTree || at.getLeaf() instanceof ClassTree) {
        return true;
      }
    }
    return false;
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
              : Words.decapitalised(simple);
    };
  }

  @Override
  public int start() {
    return starts.get(0);
  }

  @Override
  public TypeMirror type() {
    return field.asType();
  }

  private int end(int start) {
    return start + field.getSimpleName().length();
  }

  @Override
  public List<Replacement> taken(UnitTrees trees) {
    List<Replacement> taken = new ArrayList<>();
    for (int start : starts) {
      Written local = Written.text("").local(name).done();
      String why = "its callers give it";
      taken.add(
          start == start()
              ? Replacement.of(start, end(start), local).proving(why)
              : Rewriting.of(trees, start, end(start), why, local));
    }
    return taken;
  }

  /** The field that a call gives: this, or a twin's own. */
  @Override
  public Carried given(UnitTrees trees, Twin twin) {
    Token own = twin == null ? null : twin.literals().get(start());
    return own == null
        ? Carried.range(trees.path(), start(), end(start()))
        : Carried.range(twin.trees().path(), own.start(), own.end());
  }
}
