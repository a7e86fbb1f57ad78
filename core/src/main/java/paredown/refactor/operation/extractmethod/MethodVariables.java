package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Meaning;
import paredown.edit.Written;
import paredown.edit.WrittenUse;
import paredown.program.Symbols;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.NewVariables;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.WritableType;
import paredown.refactor.use.OwnerClass;

/**
 * The type variables of a method that a part of it needs: the new method has them as well, under
 * the same names.
 */
final class MethodVariables {
  private final OwnerClass owner;
  private final Symbols symbols;
  private final NewVariables all;

  private MethodVariables(OwnerClass owner, NewVariables all) {
    this.owner = owner;
    this.symbols = owner.program().symbols();
    this.all = all;
  }

  /**
   * Those that a part names, or that are in the types of what it takes and gives.
   *
   * @throws paredown.refactor.Refused where a call could not tell what one stands for
   */
  static MethodVariables of(
      Extraction extraction, Collection<TypeMirror> given, Collection<TypeMirror> others) {
    UnitTrees trees = extraction.trees();
    Set<TypeParameterElement> needed = new LinkedHashSet<>();
    extraction.part().trees().forEach(path -> new Named(extraction, needed).scan(path, null));
    Set<TypeParameterElement> told = new LinkedHashSet<>();
    given.forEach(type -> told.addAll(WritableType.variables(type)));
    needed.addAll(told);
    others.forEach(type -> needed.addAll(WritableType.variables(type)));
    Element method = trees.element(extraction.method());
    needed.removeIf(each -> !method.equals(each.getGenericElement()));
    needed.addAll(NewVariables.bounded(needed).like());
    needed.removeIf(each -> !method.equals(each.getGenericElement()));
    for (TypeParameterElement each : needed) {
      if (!told.contains(each)) {
        throw ExtractMethodChecks.alone(
            trees,
            extraction.part(),
            "it names the type variable %s of its method, and takes nothing that tells it"
                .formatted(each.getSimpleName()));
      }
    }
    List<? extends TypeParameterElement> declared =
        ((ExecutableElement) method).getTypeParameters();
    return new MethodVariables(extraction.owner(), NewVariables.bounded(needed).inOrder(declared));
  }

  /** Finds the type variables that a part names, those that it declares itself apart. */
  private static final class Named extends TreePathScanner<Void, Void> {
    private final Extraction extraction;
    private final Set<TypeParameterElement> found;

    Named(Extraction extraction, Set<TypeParameterElement> found) {
      this.extraction = extraction;
      this.found = found;
    }

    @Override
    public Void visitIdentifier(IdentifierTree tree, Void unused) {
      UnitTrees trees = extraction.trees();
      if (trees.element(getCurrentPath()) instanceof TypeParameterElement variable) {
        TreePath declared = trees.program().trees().getPath(variable.getGenericElement());
        if (!extraction.part().holds(trees.start(declared.getLeaf()))) {
          found.add(variable);
        }
      }
      return super.visitIdentifier(tree, null);
    }
  }

  List<TypeParameterElement> all() {
    return all.like();
  }

  /** Writes their declaration, with a space behind it; nothing where there is none. */
  void declare(Written.Text text, TypeNames names) {
    all.declare(text, names, owner.element());
    text.text(all.like().isEmpty() ? "" : " ");
  }

  /** What each is in the new method, by what it was. */
  Map<String, String> became(String method) {
    Map<String, String> became = new HashMap<>();
    for (TypeParameterElement each : all.like()) {
      became.put(symbols.key(each), Symbols.variableKey(each.getSimpleName().toString(), method));
    }
    return became;
  }

  /** Text that is written within the new method. */
  Written within(Written text, String method) {
    Map<String, String> became = became(method);
    List<WrittenUse> uses = new ArrayList<>();
    for (WrittenUse use : text.uses()) {
      String now = use.meaning() instanceof Meaning.Symbol symbol ? became.get(symbol.key()) : null;
      uses.add(
          now == null
              ? use
              : new WrittenUse(use.offset(), use.kind(), new Meaning.Symbol(now), use.standsFor()));
    }
    return new Written(text.text(), uses, text.proof());
  }
}
