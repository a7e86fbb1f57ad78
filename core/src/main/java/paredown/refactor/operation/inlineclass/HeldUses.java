package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.Shadows;
import paredown.refactor.name.Sight;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/** Where a class asks an object that it holds, and asks itself then. */
final class HeldUses {
  private static final String WHY = "the members of what it held are its own";

  private final OwnerClass gone;
  private final OwnerClass home;
  private final OwnerClass.Field held;
  private final HomeNames names;
  private final Program program;

  /** How far each member must be seen. */
  private final Map<Element, AccessLevel> levels = new HashMap<>();

  HeldUses(OwnerClass gone, OwnerClass home, OwnerClass.Field held, HomeNames names) {
    this.gone = gone;
    this.home = home;
    this.held = held;
    this.names = names;
    this.program = gone.program();
  }

  /**
   * The statements of constructors that make the object, each with what it makes; empty where the
   * field is declared with it.
   *
   * @throws Refused where it is set anywhere else, or not always
   */
  Map<TreePath, TreePath> settings() {
    Map<TreePath, TreePath> settings = new LinkedHashMap<>();
    for (MemberUses.MemberUse use : uses()) {
      if (use.access() == MemberUses.Access.WRITE) {
        TreePath set = use.path().getParentPath();
        TreePath statement = set.getParentPath();
        boolean plain =
            set.getLeaf() instanceof AssignmentTree
                && statement.getLeaf() instanceof ExpressionStatementTree
                && isInConstructor(statement)
                && PassedOn.isHeld(use.trees(), use.path(), held.element());
        if (!plain || held.tree().getInitializer() != null) {
          throw needed("it gets another object there", use.place());
        }
        settings.put(
            statement, new TreePath(set, ((AssignmentTree) set.getLeaf()).getExpression()));
      }
    }
    requireAlways(settings.keySet().stream().toList());
    return settings;
  }

  private boolean isInConstructor(TreePath statement) {
    TreePath method = statement.getParentPath().getParentPath();
    return statement.getParentPath().getLeaf() instanceof BlockTree
        && method.getLeaf() instanceof MethodTree tree
        && tree.getReturnType() == null
        && method.getParentPath().getLeaf() == home.tree();
  }

  private void requireAlways(List<TreePath> statements) {
    if (held.tree().getInitializer() != null) {
      return;
    }
    List<Tree> bodies = statements.stream().map(each -> each.getParentPath().getLeaf()).toList();
    boolean always =
        !home.constructors().isEmpty()
            && home.constructors().stream()
                .filter(each -> !each.callsAnother())
                .allMatch(
                    each ->
                        bodies.stream().filter(body -> body == each.tree().getBody()).count() == 1);
    if (!always) {
      throw needed("it is not there from the beginning", home.trees().place(held.tree()));
    }
  }

  private List<MemberUses.MemberUse> uses() {
    return MemberUses.of(program, Map.of(held.element(), held.key()));
  }

  /** The edits of all that asks the object for something. */
  void collect(EditList edits) {
    for (MemberUses.MemberUse use : uses()) {
      if (use.access() != MemberUses.Access.WRITE && !isDropped(use)) {
        edits.add(use.file(), asked(use));
      }
    }
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      for (TreePath mention : Mentions.of(trees, gone)) {
        mention(trees, mention, edits);
      }
    }
  }

  /** Whether a use goes with the body of a method that only passed on. */
  private boolean isDropped(MemberUses.MemberUse use) {
    return gone.methods().stream()
        .flatMap(each -> names.passer(each.element()).stream())
        .anyMatch(each -> home.holds(each.method().range(), use));
  }

  private Replacement asked(MemberUses.MemberUse use) {
    TreePath around = use.path().getParentPath();
    UnitTrees trees = use.trees();
    Element member = trees.element(around);
    Tree object =
        around.getLeaf() instanceof MemberSelectTree select
            ? select.getExpression()
            : around.getLeaf() instanceof MemberReferenceTree reference
                ? reference.getQualifierExpression()
                : null;
    if (object != use.path().getLeaf() || member == null || names.of(member) == null) {
      throw needed("it is used as a whole there", use.place());
    }
    seen(member, use);
    boolean reference = around.getLeaf() instanceof MemberReferenceTree;
    int end = trees.end(around.getLeaf());
    int name = end - member.getSimpleName().length();
    Use.Place place = Rewriting.name(trees, name);
    Written.Text text = Written.text("");
    if (!use.simple()) {
      ExpressionTree asked = ((MemberSelectTree) use.path().getLeaf()).getExpression();
      int from = reference ? trees.end(asked) : use.offset();
      text.text(reference ? "::" : "").name(names.of(member), names.key(member), place);
      return Rewriting.of(trees, from, end, WHY, text.done());
    }
    String qualifier = qualifier(use, member);
    String asked =
        program.uses().at(use.file(), use.offset(), UseKind.RECEIVER).map(Use::key).orElseThrow();
    if (reference || !qualifier.isEmpty()) {
      String self = qualifier.isEmpty() ? "this" : qualifier;
      if (!self.equals("this")) {
        text.name(self, asked).text(".");
      }
      text.name("this", "this of " + asked.substring("type ".length()));
      text.text(reference ? "::" : ".");
    } else {
      text.here(UseKind.RECEIVER, asked);
    }
    text.name(names.of(member), names.key(member), place);
    return Rewriting.of(trees, trees.start(around.getLeaf()), end, WHY, text.done());
  }

  private void seen(Element member, MemberUses.MemberUse use) {
    Sight sight = new Sight(use.trees().classAround(use.path()), program);
    AccessLevel level = AccessLevel.neededBy(sight, home.element());
    if (level.compareTo(AccessLevel.PACKAGE) > 0) {
      throw needed("it is asked from another package", use.place());
    }
    levels.merge(member, level, (one, other) -> one.compareTo(other) > 0 ? one : other);
  }

  /** How far a member must be seen, once all uses are collected. */
  AccessLevel level(Element member) {
    return levels.getOrDefault(member, AccessLevel.PRIVATE);
  }

  /**
   * What a member is asked of, so that another of the name does not stand for it: variables stand
   * in front of a field, and members of classes within in front of both.
   */
  private String qualifier(MemberUses.MemberUse use, Element member) {
    for (TreePath at = use.path();
        at != null && at.getLeaf() != home.tree();
        at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree
          && use.trees().element(at) instanceof TypeElement type
          && !program.types().isSubtype(type.asType(), home.element().asType())) {
        boolean hides =
            program.elements().getAllMembers(type).stream()
                .filter(each -> each.getKind() == member.getKind())
                .anyMatch(each -> each.getSimpleName().contentEquals(names.of(member)));
        if (hides) {
          return home.simpleName();
        }
      }
    }
    return member.getKind().isField() ? new Shadows(use, names.of(member)).qualifier() : "";
  }

  /**
   * The class may be named where the field is declared and set, and in front of its own statics.
   */
  private void mention(UnitTrees trees, TreePath mention, EditList edits) {
    TreePath around = mention.getParentPath();
    boolean known =
        around.getLeaf() == held.tree()
            || around.getLeaf() instanceof NewClassTree made
                && made.getIdentifier() == mention.getLeaf()
                && isSetting(around);
    if (known) {
      return;
    }
    Element member = trees.element(around);
    boolean fixed =
        around.getLeaf() instanceof MemberSelectTree
            && member != null
            && names.of(member) != null
            && OwnerClass.outermost(trees.classAround(mention))
                .equals(OwnerClass.outermost(home.element()));
    if (!fixed) {
      throw needed("it is named there", trees.place(mention.getLeaf()));
    }
    int end = trees.end(around.getLeaf());
    Use.Place place = Rewriting.name(trees, end - member.getSimpleName().length());
    edits.add(
        trees.path(),
        Rewriting.of(
            trees,
            trees.start(around.getLeaf()),
            end,
            WHY,
            Written.text("").name(names.of(member), names.key(member), place).done()));
  }

  private boolean isSetting(TreePath made) {
    Tree around = made.getParentPath().getLeaf();
    return around == held.tree()
        || around instanceof AssignmentTree set
            && set.getExpression() == made.getLeaf()
            && held.element()
                .equals(
                    home.trees().element(new TreePath(made.getParentPath(), set.getVariable())));
  }

  private Refused needed(String why, String place) {
    return Refused.advising(
        RefusalKind.OBJECT_NEEDED,
        "%s cannot be inlined into %s: %s.".formatted(gone.writtenName(), home.writtenName(), why),
        "Let that ask %s for what it needs first.".formatted(home.writtenName()),
        place);
  }
}
