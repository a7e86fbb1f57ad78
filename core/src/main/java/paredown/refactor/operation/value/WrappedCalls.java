package paredown.refactor.operation.value;

import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.code.CalledName;
import paredown.refactor.code.ReferencedTypes;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.plan.InnerFirst;
import paredown.refactor.use.OwnerClass;

/** The heads that give or take the new type, and their calls. */
final class WrappedCalls {
  private final OwnerClass owner;
  private final WrappedAccessors accessors;
  private final Program program;
  private final Wanted wanted;
  private final ValueType type;

  WrappedCalls(OwnerClass owner, WrappedAccessors accessors, Wanted wanted, ValueType type) {
    this.owner = owner;
    this.accessors = accessors;
    this.wanted = wanted;
    this.program = owner.program();
    this.type = type;
  }

  /** Adds the heads, and notes what is to be done to the calls. */
  void add(InnerFirst inOrder) {
    accessors.givers().forEach(each -> typed(each.tree().getReturnType()));
    accessors
        .takers()
        .forEach((each, position) -> typed(each.tree().getParameters().get(position).getType()));
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
          super.visitMethodInvocation(tree, null);
          if (trees.end(tree) >= 0
              && trees.element(getCurrentPath()) instanceof ExecutableElement called) {
            if (accessors.gives(called)) {
              TreePath path = getCurrentPath();
              inOrder.add(trees, tree, () -> asked(trees, path, tree, called));
            } else if (accessors.taken(called) >= 0) {
              type.edits().add(trees.path(), CalledName.meaning(trees, tree, newKey(called)));
              given(getCurrentPath(), tree.getArguments().get(accessors.taken(called)));
            }
          }
          return null;
        }

        @Override
        public Void visitNewClass(NewClassTree tree, Void unused) {
          super.visitNewClass(tree, null);
          if (tree.getClassBody() == null
              && trees.element(getCurrentPath()) instanceof ExecutableElement called
              && accessors.taken(called) >= 0) {
            given(getCurrentPath(), tree.getArguments().get(accessors.taken(called)));
          }
          return null;
        }

        private void given(TreePath call, ExpressionTree argument) {
          if (!wanted.isObject(trees, new TreePath(call, argument))) {
            inOrder.add(trees, argument, () -> type.make(trees, argument, trees.classAround(call)));
          }
        }
      }.scan(unit.tree(), null);
      references(trees);
    }
  }

  private void typed(Tree written) {
    type.name(owner.trees(), written, owner.element());
  }

  /** The value, asked of the object that an accessor gives. */
  private void asked(
      UnitTrees trees, TreePath path, MethodInvocationTree call, ExecutableElement called) {
    boolean unused = path.getParentPath().getLeaf() instanceof ExpressionStatementTree;
    List<Piece> pieces = new ArrayList<>();
    Written.Text text = Written.text("");
    int name = trees.nameOffset(call.getMethodSelect());
    if (call.getMethodSelect() instanceof MemberSelectTree select) {
      Tree asked = select.getExpression();
      pieces.add(type.edits().carried(trees, asked));
      text.text(trees.source().slice(trees.end(asked), name));
    } else {
      program
          .uses()
          .at(trees.path(), name, UseKind.RECEIVER)
          .ifPresent(each -> text.hereStill(UseKind.RECEIVER, each.key(), each.place()));
    }
    String word = called.getSimpleName().toString();
    text.name(word, program.symbols().key(called), Rewriting.name(trees, name)).text("()");
    int end = trees.end(call);
    if (wanted.is(trees, path)) {
      // With the sign behind it, it is no call by itself that would have to have its old type.
      int behind = trees.source().codeTokenFrom(end).end();
      text.text(trees.source().slice(end, behind));
      end = behind;
    } else if (!unused) {
      type.ask(text);
    }
    pieces.add(text.done());
    type.replace(trees, trees.start(call), end, pieces);
  }

  private String newKey(ExecutableElement method) {
    List<String> types = new ArrayList<>();
    for (int i = 0; i < method.getParameters().size(); i++) {
      types.add(
          i == accessors.taken(method)
              ? type.element().getQualifiedName().toString()
              : program.types().erasure(method.getParameters().get(i).asType()).toString());
    }
    String home = owner.binaryName();
    return method.getKind() == ElementKind.CONSTRUCTOR
        ? Symbols.constructorKey(home, types)
        : Symbols.methodKey(home, method.getSimpleName().toString(), types);
  }

  /** The keys of the heads that take the new type, and what they are then. */
  Map<String, String> became() {
    Map<String, String> became = new LinkedHashMap<>();
    accessors
        .takers()
        .keySet()
        .forEach(each -> became.put(program.symbols().key(each.element()), newKey(each.element())));
    return became;
  }

  /** Links in comments name the new type. */
  private void references(UnitTrees trees) {
    for (OwnerClass.Method taker : accessors.takers().keySet()) {
      String key = program.symbols().key(taker.element());
      for (Use use : program.uses().in(trees.path()).toList()) {
        if (use.isDoc() && use.key().equals(key)) {
          ReferencedTypes.in(trees.source(), use, taker.element().getParameters().size())
              .ifPresent(
                  said -> {
                    List<String> now = new ArrayList<>(said.types());
                    now.set(
                        accessors.taken(taker.element()),
                        type.names().of(trees).knownOrFull(type.element(), null));
                    type.edits().add(trees.path(), said.saying(now));
                  });
        }
      }
    }
  }
}
