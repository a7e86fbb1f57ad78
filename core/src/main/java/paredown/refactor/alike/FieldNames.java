package paredown.refactor.alike;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.Deeds;
import paredown.refactor.effect.Effects;

/**
 * The fields that a part names, alone or behind {@code this}, but for those of classes within it.
 */
final class FieldNames {
  private final UnitTrees trees;
  private final Part part;
  private final Map<VariableElement, List<TreePath>> places = new LinkedHashMap<>();

  /** What the part does; null until somebody asks. */
  private List<Deeds> deeds;

  private FieldNames(UnitTrees trees, Part part) {
    this.trees = trees;
    this.part = part;
  }

  static FieldNames in(UnitTrees trees, Part part) {
    FieldNames names = new FieldNames(trees, part);
    names.look();
    return names;
  }

  static FieldNames in(Twin twin) {
    return in(twin.trees(), twin.part());
  }

  private void look() {
    var scanner =
        new TreePathScanner<Void, Void>() {
          private final Deque<Element> within = new ArrayDeque<>();

          private boolean add(TreePath path) {
            boolean field =
                trees.element(path) instanceof VariableElement element
                    && element.getKind() == ElementKind.FIELD
                    && !within.contains(element.getEnclosingElement());
            if (field) {
              VariableElement element = (VariableElement) trees.element(path);
              places.computeIfAbsent(element, each -> new ArrayList<>()).add(path);
            }
            return field;
          }

          @Override
          public Void visitIdentifier(IdentifierTree tree, Void unused) {
            if (!Set.of("this", "super").contains(tree.getName().toString())) {
              add(getCurrentPath());
            }
            return null;
          }

          @Override
          public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
            boolean own =
                within.isEmpty()
                    && tree.getExpression() instanceof IdentifierTree self
                    && self.getName().contentEquals("this");
            return own && add(getCurrentPath()) ? null : super.visitMemberSelect(tree, null);
          }

          @Override
          public Void visitClass(ClassTree tree, Void unused) {
            within.push(trees.element(getCurrentPath()));
            super.visitClass(tree, null);
            within.pop();
            return null;
          }
        };
    part.trees().forEach(each -> scanner.scan(each, null));
  }

  /** Each field with the places that name it, in the order of the text. */
  Map<VariableElement, List<TreePath>> all() {
    return places;
  }

  /** Those of the object, in the order of the text. */
  List<VariableElement> ofObject() {
    return places.keySet().stream()
        .filter(field -> !field.getModifiers().contains(Modifier.STATIC))
        .toList();
  }

  /** How a field that it names stays the same all through the part. */
  Steadiness steadiness(VariableElement field) {
    return Steadiness.of(field, places.get(field), part, this::deeds);
  }

  private List<Deeds> deeds() {
    if (deeds == null) {
      Effects effects = new Effects(trees.program());
      deeds = part.trees().stream().map(effects::of).toList();
    }
    return deeds;
  }

  /** The name of a field that is only assumed to have one value; empty for others. */
  Optional<String> assumed(VariableElement field) {
    return steadiness(field) == Steadiness.ASSUMED
        ? Optional.of(field.getSimpleName().toString())
        : Optional.empty();
  }

  /** The field whose own name, which may stand behind {@code this}, begins somewhere. */
  Optional<VariableElement> at(int name) {
    return places.entrySet().stream()
        .filter(each -> each.getValue().stream().anyMatch(path -> name(path) == name))
        .map(Map.Entry::getKey)
        .findFirst();
  }

  /** The place whose own name begins somewhere; empty where it is none. */
  Optional<TreePath> place(int name) {
    return places.values().stream()
        .flatMap(List::stream)
        .filter(path -> name(path) == name)
        .findFirst();
  }

  private int name(TreePath path) {
    return trees.nameOffset(path.getLeaf());
  }
}
