package paredown.program;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePathScanner;
import com.sun.source.util.Trees;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;

/** Tells the symbols where everything is declared that only its place can name. */
final class DeclarationPlaces extends TreePathScanner<Void, Void> {
  private final Trees trees;
  private final Symbols symbols;
  private final Unit unit;
  private final DeclaredNames names;

  DeclarationPlaces(Trees trees, Symbols symbols, Unit unit) {
    this.trees = trees;
    this.symbols = symbols;
    this.unit = unit;
    this.names = new DeclaredNames(trees.getSourcePositions(), unit);
  }

  @Override
  public Void visitVariable(VariableTree tree, Void unused) {
    Element element = trees.getElement(getCurrentPath());
    int offset = names.of(tree);
    if (element != null && Symbols.isLocal(element) && offset >= 0) {
      symbols.declaredAt(element, unit.path(), offset);
    }
    return super.visitVariable(tree, null);
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    Element element = trees.getElement(getCurrentPath());
    int offset = names.of(tree);
    if (element instanceof TypeElement type && Symbols.isNamedByPlace(type) && offset >= 0) {
      symbols.declaredAt(type, unit.path(), offset);
    }
    return super.visitClass(tree, null);
  }
}
