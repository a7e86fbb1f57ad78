package paredown.facts;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreeScanner;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Modifier;
import paredown.facts.Declared.Member;
import paredown.program.CompileError;
import paredown.text.TextHash;
import paredown.text.WholeWord;

/** Reads what other files can see of a file. */
final class DeclaredReader {
  private final UnitPlaces places;
  private final StringBuilder frame = new StringBuilder();
  private final Map<Member, Long> members = new HashMap<>();

  /** The texts of all declarations, in which imported names may stand. */
  private final StringBuilder seen = new StringBuilder();

  private DeclaredReader(UnitPlaces places) {
    this.places = places;
  }

  /**
   * What is seen of a file; all of its text where that cannot be told.
   *
   * @param errors of the file
   */
  static Declared read(UnitPlaces places, List<CompileError> errors) {
    DeclaredReader reader = new DeclaredReader(places);
    var tree = places.unit().tree();
    if (tree.getTypeDecls().isEmpty() || errors.stream().anyMatch(CompileError::isSyntax)) {
      return new Declared(TextHash.of(places.source().text()), Map.of());
    }
    String prefix = tree.getPackageName() == null ? "" : tree.getPackageName() + ".";
    reader.frame.append(prefix);
    for (Tree type : tree.getTypeDecls()) {
      if (type instanceof ClassTree declared) {
        reader.type(declared, prefix + declared.getSimpleName());
      }
    }
    reader.imports(tree.getImports());
    return new Declared(TextHash.of(reader.frame), reader.members);
  }

  /** An import is seen where it says what a declaration means. */
  private void imports(List<? extends ImportTree> imports) {
    String declared = seen.toString();
    for (ImportTree each : imports) {
      String name = each.getQualifiedIdentifier().toString();
      String simple = name.substring(name.lastIndexOf('.') + 1);
      if (each.isStatic()
          || simple.equals("*")
          || declared.contains(simple) && WholeWord.of(simple).matcher(declared).find()) {
        frame.append(each);
      }
    }
  }

  private void type(ClassTree tree, String name) {
    String head = slice(places.start(tree), headEnd(tree));
    frame.append(name).append(' ').append(tree.getKind()).append(head).append('\n');
    seen.append(head).append('\n');
    for (Tree member : tree.getMembers()) {
      if (member instanceof ClassTree nested) {
        type(nested, name + "." + nested.getSimpleName());
      } else if (member instanceof MethodTree method && places.end(member) >= 0) {
        method(tree, method, name);
      } else if (member instanceof VariableTree field) {
        field(tree, field, name);
      }
    }
  }

  /** Where the head of a type ends: before the bracket behind all that its head consists of. */
  private int headEnd(ClassTree tree) {
    List<Tree> parts = new ArrayList<>(List.of(tree.getModifiers()));
    parts.addAll(tree.getTypeParameters());
    parts.addAll(tree.getImplementsClause());
    parts.addAll(tree.getPermitsClause());
    if (tree.getExtendsClause() != null) {
      parts.add(tree.getExtendsClause());
    }
    int last = places.start(tree);
    for (Tree part : parts) {
      last = Math.max(last, places.end(part));
    }
    int bracket = places.source().text().indexOf('{', last);
    return bracket < 0 ? places.end(tree) : bracket;
  }

  private void method(ClassTree type, MethodTree tree, String owner) {
    int end = tree.getBody() == null ? places.end(tree) : places.start(tree.getBody());
    boolean constructor = tree.getReturnType() == null;
    boolean everywhere =
        type.getKind() == Tree.Kind.INTERFACE
            || type.getKind() == Tree.Kind.ANNOTATION_TYPE
            || tree.getModifiers().getFlags().contains(Modifier.ABSTRACT);
    String name = constructor ? type.getSimpleName().toString() : tree.getName().toString();
    add(new Member(owner, name), slice(places.start(tree), end), everywhere);
  }

  private void field(ClassTree type, VariableTree tree, String owner) {
    ExpressionTree value = tree.getInitializer();
    boolean isFinal =
        type.getKind() == Tree.Kind.INTERFACE
            || tree.getModifiers().getFlags().contains(Modifier.FINAL);
    boolean constant = isFinal && value != null && isPlain(value);
    int end = value == null || constant ? places.end(tree) : places.start(value);
    add(
        new Member(owner, tree.getName().toString()),
        slice(places.start(tree), Math.max(end, places.start(tree))),
        constant);
  }

  /** Whether an expression may be a constant. */
  private static boolean isPlain(ExpressionTree value) {
    boolean[] plain = {true};
    new TreeScanner<Void, Void>() {
      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        plain[0] = false;
        return null;
      }

      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        plain[0] = false;
        return null;
      }

      @Override
      public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
        plain[0] = false;
        return null;
      }
    }.scan(value, null);
    return plain[0];
  }

  private void add(Member member, String text, boolean everywhere) {
    seen.append(text).append('\n');
    if (everywhere) {
      frame.append(member.owner()).append(text).append('\n');
    } else {
      // In any order: only what is declared counts.
      members.merge(member, TextHash.of(text), Long::sum);
    }
  }

  private String slice(int start, int end) {
    return start < 0 || end < start ? "" : places.source().slice(start, end);
  }
}
