package paredown.refactor.operation.remove;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.util.TreePath;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.project.SourceFile;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.MemberUses;

/**
 * A test that uses what goes.
 *
 * @param trees of its file
 * @param range of its method
 * @param name the class and the method, as test runs name it
 */
record TestsOf(UnitTrees trees, MemberRange range, String name) {
  private static final Set<String> TESTS =
      Set.of("Test", "ParameterizedTest", "RepeatedTest", "TestFactory", "Theory");

  /** Whether a use stands in a test file. */
  static boolean isTest(Program program, MemberUses.MemberUse use) {
    return program
        .sources()
        .file(use.file())
        .filter(each -> each.kind() == SourceFile.Kind.TEST)
        .isPresent();
  }

  /** The test around a use; empty where none is. */
  static Optional<TestsOf> around(MemberUses.MemberUse use) {
    for (TreePath at = use.path(); at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof MethodTree tree && isTest(tree)) {
        UnitTrees trees = use.trees();
        TypeElement type = trees.classAround(at);
        return Optional.of(
            new TestsOf(
                trees,
                MemberRange.of(trees.source(), trees.start(tree), trees.end(tree)),
                trees.program().symbols().binary(type) + "#" + tree.getName()));
      }
    }
    return Optional.empty();
  }

  /** Whether a method is a test, by its annotation. */
  static boolean isTest(MethodTree tree) {
    for (AnnotationTree each : tree.getModifiers().getAnnotations()) {
      String name = each.getAnnotationType().toString();
      if (TESTS.contains(name.substring(name.lastIndexOf('.') + 1))) {
        return true;
      }
    }
    return false;
  }
}
