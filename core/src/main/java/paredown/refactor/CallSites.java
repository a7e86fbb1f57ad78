package paredown.refactor;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.ModuleDeclaration;
import paredown.program.Sources;
import paredown.program.Unit;
import paredown.project.Module;

/** Lets every caller ask the moved method in its new place. */
final class CallSites {
  private final Moving moving;
  private final Map<String, TypeNames> names;
  private final List<MemberUses.MemberUse> uses;
  private boolean makes;

  /** Finds the callers, which must see the method where it goes. */
  CallSites(Moving moving, Map<String, TypeNames> names) {
    this.moving = moving;
    this.names = names;
    OwnerClass.Method method = moving.method();
    this.uses =
        moving.delegate()
            ? List.of()
            : MemberUses.of(moving.program(), Map.of(method.element(), method.key())).stream()
                .filter(use -> !moving.owner().holds(method.range(), use))
                .sorted(Comparator.comparingInt(CallSites::size))
                .toList();
    for (MemberUses.MemberUse use : uses) {
      TypeElement around = classAround(use.trees(), use.path());
      moving.visibility().seenFrom(around);
      if (moving.through() instanceof Through.Callers) {
        caller(use, around);
      }
      receiver(use).ifPresent(type -> requireSeen(type, around, use));
    }
    requireExported();
  }

  private void caller(MemberUses.MemberUse use, TypeElement around) {
    CallerObject has = CallerObject.of(use.trees(), use.path(), moving.target().element());
    if (has instanceof CallerObject.Itself itself) {
      moving.visibility().askedOf(itself.type());
    } else if (has instanceof CallerObject.Made) {
      makes = true;
      moving.visibility().makes(new Sight(around, moving.program().elements()));
    }
  }

  /** Whether a caller makes a new object of the target, as it has none. */
  boolean makesObjects() {
    return makes;
  }

  /** The type of the argument that a caller will ask; empty where it asks something else. */
  private Optional<TypeElement> receiver(MemberUses.MemberUse use) {
    TreePath above = use.path().getParentPath();
    if (moving.through() instanceof Through.Parameter parameter
        && use.access() == MemberUses.Access.CALL
        && above.getLeaf() instanceof MethodInvocationTree call) {
      TreePath argument = new TreePath(above, call.getArguments().get(parameter.index()));
      TypeMirror type = moving.program().trees().getTypeMirror(argument);
      Element element = moving.program().types().asElement(moving.program().types().erasure(type));
      return Optional.ofNullable(element instanceof TypeElement named ? named : null);
    }
    return Optional.empty();
  }

  private void requireSeen(TypeElement type, TypeElement around, MemberUses.MemberUse use) {
    if (new Sight(around, moving.program().elements()).hides(type)) {
      throw refused(use, "a caller gives what it may not ask");
    }
    moving.visibility().askedOf(type);
  }

  /** Callers in another module of the platform's kind see the exported packages only. */
  private void requireExported() {
    Sources sources = moving.program().sources();
    Module home = module(sources, moving.target().trees().path());
    for (MemberUses.MemberUse use : uses) {
      boolean elsewhere = !module(sources, use.file()).directory().equals(home.directory());
      if (elsewhere
          && ModuleDeclaration.of(sources.project(), home)
              .filter(declared -> !declared.exports(moving.target().packageName()))
              .isPresent()) {
        throw Refused.advising(
            RefusalKind.DELEGATE_NEEDED,
            "%s cannot leave its old place: another module calls it, and %s is not exported."
                .formatted(OwnerClass.signature(moving.method()), moving.target().packageName()),
            "Say --delegate keep.",
            use.place());
      }
    }
  }

  private static Module module(Sources sources, String file) {
    return sources.file(file).orElseThrow().module();
  }

  private static int size(MemberUses.MemberUse use) {
    Tree call = use.path().getParentPath().getLeaf();
    return use.trees().end(call) - use.trees().start(call);
  }

  static TypeElement classAround(UnitTrees trees, TreePath path) {
    for (TreePath at = path; at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree && trees.element(at) instanceof TypeElement type) {
        return type;
      }
    }
    throw new IllegalStateException("no class around " + path.getLeaf());
  }

  void collect(EditList edits) {
    for (MemberUses.MemberUse use : uses) {
      TypeNames here = names.get(use.file());
      if (use.access() == MemberUses.Access.REFERENCE) {
        edits.add(use.file(), reference(use, here));
      } else if (use.access() == MemberUses.Access.CALL) {
        new CallSite(moving, here, use, edits).rewrite();
      } else {
        throw refused(use, "it is used in a way that is not understood yet");
      }
    }
    for (Unit unit : moving.program().units()) {
      UnitTrees trees = new UnitTrees(moving.program(), unit);
      StaticImports.removals(trees, moving.owner(), List.of(moving.method().element()))
          .forEach(edit -> edits.add(trees.path(), edit));
      new MovedLinks(moving, names.get(unit.path()), trees).collect(edits);
    }
  }

  private Refused refused(MemberUses.MemberUse use, String why) {
    return Refused.of(
        RefusalKind.CALL_SHAPE,
        OwnerClass.signature(moving.method()),
        why + "; --delegate keep leaves it as it is",
        use.place());
  }

  /** A reference to a static method names its new class. */
  private Replacement reference(MemberUses.MemberUse use, TypeNames here) {
    MemberReferenceTree tree = (MemberReferenceTree) use.path().getLeaf();
    boolean plain = moving.method().is(Modifier.STATIC) && moving.route().becomesStatic();
    if (!plain) {
      throw refused(use, "a method reference names it");
    }
    requireExact(use);
    Written.Text text = Written.text("");
    here.write(text, moving.target().element(), classAround(use.trees(), use.path()));
    text.text("::").name(moving.name(), moving.newKey(), Rewriting.name(use.trees(), use.offset()));
    return Rewriting.of(
        use.trees(),
        use.trees().start(tree),
        use.trees().end(tree),
        "the method is in another class now",
        text.done());
  }

  /**
   * A reference that could mean several methods, or is made of a raw type, is no exact one, and
   * tells the compiler less about the call that it stands in (JLS 15.13.1).
   */
  private void requireExact(MemberUses.MemberUse use) {
    TypeElement target = moving.target().element();
    boolean several =
        moving.program().elements().getAllMembers(target).stream()
            .anyMatch(each -> each.getSimpleName().contentEquals(moving.name()));
    if (several || !target.getTypeParameters().isEmpty()) {
      throw refused(use, "a method reference would not be exact any more");
    }
  }

  /** Whether an expression cannot be null. */
  static boolean isNeverNull(UnitTrees trees, TreePath expression) {
    ExpressionTree tree = (ExpressionTree) expression.getLeaf();
    if (tree instanceof NewClassTree
        || tree instanceof IdentifierTree name && name.getName().contentEquals("this")
        || tree instanceof MemberSelectTree select
            && select.getIdentifier().contentEquals("this")) {
      return true;
    }
    Element element = trees.element(expression);
    boolean isType = element instanceof TypeElement;
    return isType || element != null && isMadeOnce(trees, element);
  }

  /** Whether a variable is set once, to a new object. */
  private static boolean isMadeOnce(UnitTrees trees, Element variable) {
    TreePath path = trees.program().declaration(variable);
    if (path == null
        || !(path.getLeaf() instanceof com.sun.source.tree.VariableTree tree)
        || !(tree.getInitializer() instanceof NewClassTree)) {
      return false;
    }
    boolean isFinal = variable.getModifiers().contains(Modifier.FINAL);
    boolean local = !variable.getKind().isField();
    return isFinal || local && !Writes.in(trees, path.getParentPath()).contains(variable);
  }
}
