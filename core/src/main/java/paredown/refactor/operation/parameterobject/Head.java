package paredown.refactor.operation.parameterobject;

import com.sun.source.tree.MethodTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Words;
import paredown.text.Lexer;
import paredown.text.Token;

/**
 * The head of a method or constructor that takes an object then.
 *
 * @param positions of the parameters for the components, in the order of these
 * @param object what the parameter for the object is named
 */
record Head(
    UnitTrees trees,
    TreePath path,
    ExecutableElement element,
    List<Integer> positions,
    String object) {

  static Head of(Program program, ExecutableElement element, List<Integer> positions, String type) {
    TreePath path = program.declaration(element);
    UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
    return new Head(trees, path, element, positions, freeName(trees, path, type));
  }

  private static String freeName(UnitTrees trees, TreePath path, String type) {
    Set<String> words = new TreeSet<>();
    int end = trees.end(path.getLeaf());
    List<Token> tokens = trees.source().tokens();
    for (int i = trees.source().tokenAt(trees.start(path.getLeaf())); i < tokens.size(); i++) {
      Token token = tokens.get(i);
      if (token.start() >= end) {
        break;
      }
      if (token.isIdentifier()) {
        words.add(trees.source().slice(token.start(), token.end()));
      }
    }
    String plain = Words.decapitalised(type);
    return List.of(plain, "its" + type, plain + "Given").stream()
        .filter(each -> !words.contains(each) && !Lexer.isKeyword(each))
        .findFirst()
        .orElse(plain + "OfCaller");
  }

  MethodTree tree() {
    return (MethodTree) path.getLeaf();
  }

  TypeElement owner() {
    return (TypeElement) element.getEnclosingElement();
  }

  /** The parameter of a component. */
  VariableElement parameter(int component) {
    return element.getParameters().get(positions.get(component));
  }

  TreePath parameterPath(int component) {
    return new TreePath(path, parameterTree(positions.get(component)));
  }

  VariableTree parameterTree(int position) {
    return tree().getParameters().get(position);
  }

  int first() {
    return positions.stream().mapToInt(each -> each).min().orElseThrow();
  }

  int last() {
    return positions.stream().mapToInt(each -> each).max().orElseThrow();
  }

  /** The erased types of its parameters with the object among them, as keys have them. */
  private List<String> types(String object) {
    List<String> types = new ArrayList<>();
    Program program = trees.program();
    for (int i = 0; i < element.getParameters().size(); i++) {
      if (i == first()) {
        types.add(object);
      } else if (!positions.contains(i)) {
        types.add(program.types().erasure(element.getParameters().get(i).asType()).toString());
      }
    }
    return types;
  }

  /** The key that it has when it takes the object. */
  String newKey(TypeElement object) {
    String owner = trees.program().symbols().binary(owner());
    List<String> types = types(object.getQualifiedName().toString());
    return element.getKind() == ElementKind.CONSTRUCTOR
        ? Symbols.constructorKey(owner, types)
        : Symbols.methodKey(owner, element.getSimpleName().toString(), types);
  }
}
