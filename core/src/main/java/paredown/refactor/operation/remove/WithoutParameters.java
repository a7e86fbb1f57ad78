package paredown.refactor.operation.remove;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.CalledName;
import paredown.refactor.code.ParameterTags;
import paredown.refactor.code.ReferencedTypes;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Shift;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/** Takes parameters away: from the heads and their comments, from calls, and from links. */
public final class WithoutParameters {
  private final String name;
  private final String why;
  private final OwnerClass owner;
  private final GoingParameters going;
  private final Program program;
  private final EditList edits;

  /**
   * Parameters that go.
   *
   * @param name of the parameter that was named
   * @param why none is needed any more
   * @param edits to which it adds what it does
   */
  public WithoutParameters(String name, String why, GoingParameters going, EditList edits) {
    this.name = name;
    this.why = why;
    this.owner = going.owner();
    this.going = going;
    this.program = owner.program();
    this.edits = edits;
  }

  /**
   * Takes them away everywhere.
   *
   * @throws Refused where somebody would miss one
   */
  public void add() {
    new HeadsLeft(name, going).require();
    going.all().forEach(this::head);
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      calls(trees);
      references(trees);
    }
  }

  /** The keys of the methods, and what they are then. */
  public Map<String, String> became() {
    Map<String, String> became = new LinkedHashMap<>();
    going
        .all()
        .keySet()
        .forEach(each -> became.put(program.symbols().key(each), going.newKey(each)));
    return became;
  }

  /** What changes for code of other projects. */
  public List<String> api() {
    List<String> api = new ArrayList<>();
    going
        .all()
        .forEach(
            (method, positions) -> {
              if (AccessLevel.isApi(method)) {
                String type = method.getEnclosingElement().getSimpleName().toString();
                String who =
                    method.getKind() == ElementKind.CONSTRUCTOR
                        ? "a constructor of " + type
                        : type + "." + method.getSimpleName();
                api.add("%s takes one parameter less".formatted(who));
              }
            });
    return api.stream().distinct().toList();
  }

  private void head(ExecutableElement method, Set<Integer> positions) {
    TreePath path = program.declaration(method);
    UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
    MethodTree tree = (MethodTree) path.getLeaf();
    without(trees, tree.getParameters(), positions);
    List<String> names =
        positions.stream()
            .map(each -> method.getParameters().get(each))
            .map(VariableElement::getSimpleName)
            .map(Object::toString)
            .toList();
    SourceText source = trees.source();
    for (int[] tag : new ParameterTags(trees, path).ranges(names)) {
      int start = source.lineStart(tag[0]);
      int end = source.nextLine(Math.max(tag[0], tag[1] - 1));
      edits.add(trees.path(), Rewriting.of(trees, start, end, why).proving(why));
    }
  }

  /** Takes some of a list away, with the commas. */
  private void without(UnitTrees trees, List<? extends Tree> all, Set<Integer> gone) {
    int kept = 0;
    while (gone.contains(kept)) {
      int end = kept + 1 < all.size() ? trees.start(all.get(kept + 1)) : trees.end(all.get(kept));
      edits.add(
          trees.path(), Rewriting.of(trees, trees.start(all.get(kept)), end, why).proving(why));
      kept++;
    }
    for (int i = kept + 1; i < all.size(); i++) {
      if (gone.contains(i)) {
        int start = trees.end(all.get(i - 1));
        edits.add(
            trees.path(), Rewriting.of(trees, start, trees.end(all.get(i)), why).proving(why));
      }
    }
  }

  private void calls(UnitTrees trees) {
    new TreePathScanner<Void, Void>() {
      /** The constructor of a class without a name stands in no text, nor does its call. */
      @Override
      public Void visitMethod(MethodTree tree, Void unused) {
        Element method = trees.element(getCurrentPath());
        boolean unwritten =
            method != null
                && method.getKind() == ElementKind.CONSTRUCTOR
                && method.getEnclosingElement() instanceof TypeElement type
                && type.getNestingKind() == NestingKind.ANONYMOUS;
        return unwritten ? null : super.visitMethod(tree, null);
      }

      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        if (trees.element(getCurrentPath()) instanceof ExecutableElement called
            && going.all().containsKey(called)
            && !isGone(trees, tree)) {
          edits.add(trees.path(), CalledName.meaning(trees, tree, going.newKey(called)));
          given(trees, getCurrentPath(), tree.getArguments(), called);
        }
        return super.visitMethodInvocation(tree, null);
      }

      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        if (tree.getClassBody() != null) {
          requireNoneOf(tree, getCurrentPath());
        } else if (trees.element(getCurrentPath()) instanceof ExecutableElement called
            && going.all().containsKey(called)
            && !isGone(trees, tree)) {
          given(trees, getCurrentPath(), tree.getArguments(), called);
        }
        return super.visitNewClass(tree, null);
      }

      private void requireNoneOf(NewClassTree tree, TreePath path) {
        Element above = trees.element(new TreePath(path, tree.getIdentifier()));
        boolean meant =
            going.all().keySet().stream()
                .anyMatch(
                    each ->
                        each.getKind() == ElementKind.CONSTRUCTOR
                            && each.getEnclosingElement().equals(above));
        if (meant) {
          throw Refused.advising(
              RefusalKind.CALL_SHAPE,
              "%s cannot be removed: a class without a name gives it.".formatted(name),
              "Give that class a name first.",
              trees.place(tree));
        }
      }
    }.scan(trees.unit().tree(), null);
  }

  /** Whether it stands within what a call does not give any more. */
  private boolean isGone(UnitTrees trees, Tree tree) {
    int at = trees.start(tree);
    return edits.of(trees.path()).stream()
        .anyMatch(each -> each.pieces().isEmpty() && each.start() <= at && at < each.end());
  }

  private void given(
      UnitTrees trees,
      TreePath call,
      List<? extends ExpressionTree> arguments,
      ExecutableElement called) {
    Set<Integer> positions = going.all().get(called);
    for (int position : positions) {
      requireOmissible(
          trees,
          new TreePath(call, arguments.get(position)),
          called.getParameters().get(position).asType());
    }
    without(trees, arguments, positions);
  }

  /** What a caller works out for it must not be missed. */
  private void requireOmissible(UnitTrees trees, TreePath argument, TypeMirror taken) {
    Shift shift = new Shift(program, new CalmCalls(program), argument, taken, owner.assumptions());
    if (!shift.isOmissible()) {
      throw Refused.advising(
          RefusalKind.RUNS_OFTEN,
          "%s cannot be removed: working out what is given for it does something, or could fail."
              .formatted(name),
          "Let the caller work it out in a statement of its own first.",
          trees.place(argument.getLeaf()));
    }
  }

  private void references(UnitTrees trees) {
    Map<String, ExecutableElement> byKey = new LinkedHashMap<>();
    going.all().keySet().forEach(each -> byKey.put(program.symbols().key(each), each));
    program
        .uses()
        .in(trees.path())
        .filter(use -> use.isDoc() && byKey.containsKey(use.key()))
        .toList()
        .forEach(use -> reference(trees, use, byKey.get(use.key())));
  }

  private void reference(UnitTrees trees, Use use, ExecutableElement method) {
    ReferencedTypes.in(trees.source(), use, method.getParameters().size())
        .ifPresent(
            said -> {
              List<String> now = new ArrayList<>(said.types());
              List<Integer> gone = new ArrayList<>(going.all().get(method));
              Collections.reverse(gone);
              gone.forEach(each -> now.remove((int) each));
              edits.add(trees.path(), said.saying(now));
            });
  }
}
