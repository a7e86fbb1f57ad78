package paredown.refactor.use;

import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.code.UnitTrees;

/**
 * The methods that method references name, and those that lambdas and references stand for: their
 * parameters are taken where no names of values stand.
 */
public final class StandIns {
  private final Map<Element, String> places = new HashMap<>();

  public StandIns(Program program) {
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
          note(trees.element(getCurrentPath()));
          stands();
          return super.visitMemberReference(tree, null);
        }

        @Override
        public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
          stands();
          return super.visitLambdaExpression(tree, null);
        }

        private void stands() {
          TreePath path = getCurrentPath();
          if (program.trees().getTypeMirror(path) instanceof DeclaredType declared
              && declared.asElement() instanceof TypeElement type) {
            program.elements().getAllMembers(type).stream()
                .filter(each -> each.getModifiers().contains(Modifier.ABSTRACT))
                .forEach(this::note);
          }
        }

        private void note(Element method) {
          places.putIfAbsent(method, trees.place(getCurrentPath().getLeaf()));
        }
      }.scan(unit.tree(), null);
    }
  }

  /** Where one names a method, or stands for it. */
  public Optional<String> place(Element method) {
    return Optional.ofNullable(places.get(method));
  }
}
