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
import javax.lang.model.element.VariableElement;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;

/**
 * The fields that a part names, alone or behind {@code this}, but for those of classes within it.
 *
 * @param all each field with the places that name it, in the order of the text
 */
record FieldNames(UnitTrees trees, Map<VariableElement, List<TreePath>> all) {

  static FieldNames in(UnitTrees trees, Part part) {
    Map<VariableElement, List<TreePath>> found = new LinkedHashMap<>();
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
              found.computeIfAbsent(element, each -> new ArrayList<>()).add(path);
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
    return new FieldNames(trees, found);
  }

  /** How a field that it names stays the same all through the part. */
  public Steadiness steadiness(Part part, VariableElement field) {
    return Steadiness.of(trees, part, field, all.get(field));
  }

  /** The name of a field that is only assumed to have one value; empty for others. */
  public Set<String> assumed(Part part, VariableElement field) {
    return all.containsKey(field) && steadiness(part, field) == Steadiness.ASSUMED
        ? Set.of(field.getSimpleName().toString())
        : Set.of();
  }

  /** The field whose own name, which may stand behind {@code this}, begins somewhere. */
  public Optional<VariableElement> at(int name) {
    return all.entrySet().stream()
        .filter(each -> each.getValue().stream().anyMatch(path -> name(path) == name))
        .map(Map.Entry::getKey)
        .findFirst();
  }

  /** The place whose own name begins somewhere; empty where it is none. */
  public Optional<TreePath> place(int name) {
    return all.values().stream()
        .flatMap(List::stream)
        .filter(path -> name(path) == name)
        .findFirst();
  }

  private int name(TreePath path) {
    return trees.nameOffset(path.getLeaf());
  }
}
