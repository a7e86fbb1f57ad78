package paredown.refactor.operation.movemethod;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.Elements;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.Sight;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.OwnerClass;

/** What the code of a moved method says differently in its new place. */
final class MovedBody {
  private final Moving moving;
  private final UnitTrees trees;
  private final TypeNames names;
  private final List<Replacement> edits = new ArrayList<>();

  private MovedBody(Moving moving, TypeNames names) {
    this.moving = moving;
    this.trees = moving.owner().trees();
    this.names = names;
  }

  static List<Replacement> edits(Moving moving, TypeNames names) {
    MovedBody body = new MovedBody(moving, names);
    moving.route().code().targeted().forEach(body::target);
    moving
        .route()
        .code()
        .asked()
        .forEach(moving.given().isOwner() ? body::askOwner : body::useValue);
    moving.route().code().statics().forEach(body::qualify);
    moving.route().code().again().forEach(body::again);
    moving.route().code().named().forEach(body::rename);
    return body.edits;
  }

  private TypeElement scope() {
    return moving.target().element();
  }

  private void replace(int start, int end, Written.Text text) {
    edits.add(Rewriting.of(trees, start, end, "it is reached otherwise now", text.done()));
  }

  private Use.Place place(Tree tree) {
    return Rewriting.name(trees, trees.nameOffset(tree));
  }

  private void target(MovedCode.Targeted targeted) {
    Tree object = targeted.path().getLeaf();
    TreePath above = targeted.path().getParentPath();
    boolean plain =
        above.getLeaf() instanceof MemberSelectTree
            && !targeted.inner()
            && !hasTypeArguments(above.getParentPath().getLeaf(), above.getLeaf());
    if (plain) {
      Element member = trees.element(above);
      String name = ((MemberSelectTree) above.getLeaf()).getIdentifier().toString();
      if (member != null && !isShadowed(member, name)) {
        Written.Text text = Written.text("");
        if (!member.getModifiers().contains(Modifier.STATIC)) {
          text.here(UseKind.RECEIVER, Symbols.typeKey(moving.target().binaryName()));
        }
        text.name(name, trees.program().symbols().key(member), place(above.getLeaf()));
        replace(trees.start(object), trees.end(above.getLeaf()), text);
        return;
      }
    }
    Written.Text text = Written.text("");
    if (targeted.inner()) {
      names.write(text, scope(), scope());
      text.text(".");
    }
    text.name("this", "this of " + moving.target().binaryName(), place(object));
    replace(trees.start(object), trees.end(object), text);
  }

  private static boolean hasTypeArguments(Tree call, Tree select) {
    return call instanceof MethodInvocationTree invocation
        && invocation.getMethodSelect() == select
        && !invocation.getTypeArguments().isEmpty();
  }

  private boolean isShadowed(Element member, String name) {
    return member.getKind() != ElementKind.METHOD
        && (moving.route().code().locals().contains(name)
            || moving.given().isOwner() && moving.given().ownerName().equals(name)
            || moving.given().values().stream().anyMatch(value -> value.name().equals(name)));
  }

  private void askOwner(MovedCode.Asked asked) {
    Tree tree = asked.path().getLeaf();
    if (moving.method().element().equals(asked.member()) && !moving.delegate()) {
      throw refusedAgain(tree);
    }
    Optional<ExecutableElement> getter =
        PlainGetter.instead(moving.route(), moving.calm(), asked.path(), asked.member());
    if (getter.isPresent()) {
      Element gives = getter.get();
      replace(
          trees.start(tree),
          trees.end(tree),
          Written.text("")
              .local(moving.given().ownerName())
              .text(".")
              .name(
                  gives.getSimpleName().toString(),
                  moving.program().symbols().key(gives),
                  place(tree))
              .text("()"));
      return;
    }
    if (asked.member() != null && tree instanceof MemberSelectTree select) {
      Tree self = select.getExpression();
      replace(
          trees.start(self),
          trees.end(self),
          Written.text("").local(moving.given().ownerName(), place(self)));
      return;
    }
    Written.Text text = Written.text("");
    if (asked.member() == null) {
      text.local(moving.given().ownerName(), place(tree));
    } else {
      text.local(moving.given().ownerName())
          .text(".")
          .name(
              asked.member().getSimpleName().toString(),
              moving.program().symbols().key(asked.member()),
              place(tree));
    }
    replace(trees.start(tree), trees.end(tree), text);
  }

  private void useValue(MovedCode.Asked asked) {
    Tree tree = asked.path().getLeaf();
    boolean call = asked.member().getKind() == ElementKind.METHOD;
    Tree whole = call ? asked.path().getParentPath().getLeaf() : tree;
    replace(
        trees.start(whole),
        trees.end(whole),
        Written.text("").local(moving.given().value(asked.member()).name(), place(tree)));
  }

  private void qualify(MovedCode.Static use) {
    IdentifierTree tree = use.tree();
    if (use.member().equals(moving.method().element()) && moving.route().staysStatic()) {
      again(tree);
    } else if (use.member().equals(moving.method().element()) && !moving.delegate()) {
      throw refusedAgain(tree);
    } else if (!isKnownThere(use)) {
      Written.Text text = Written.text("");
      names.write(text, qualifier(use), scope());
      int start = trees.start(tree);
      edits.add(Replacement.of(start, start, text.text(".").done()));
    }
  }

  private boolean isWithinAgain(Tree tree) {
    return !moving.delegate()
        && moving.route().code().again().stream()
            .map(TreePath::getLeaf)
            .anyMatch(
                each ->
                    trees.start(each) <= trees.start(tree) && trees.end(tree) <= trees.end(each));
  }

  /** A method that names itself behind its class or another object asks the delegate. */
  private void again(TreePath path) {
    if (moving.delegate()) {
      return;
    }
    boolean plain =
        path.getLeaf() instanceof MemberSelectTree select
            && trees.element(new TreePath(path, select.getExpression())) instanceof TypeElement;
    if (!plain) {
      throw refusedAgain(path.getLeaf());
    }
    again(path.getLeaf());
  }

  private Refused refusedAgain(Tree tree) {
    return Refused.of(
        RefusalKind.CALL_SHAPE,
        OwnerClass.signature(moving.method()),
        "it calls itself; --delegate keep leaves its old place to be called",
        trees.place(tree));
  }

  /** A static method that calls itself does so in its new place. */
  private void again(Tree tree) {
    replace(
        trees.start(tree),
        trees.end(tree),
        Written.text("").name(moving.name(), moving.newKey(), place(tree)));
  }

  private TypeElement qualifier(MovedCode.Static use) {
    TypeElement declaring = (TypeElement) use.member().getEnclosingElement();
    Sight sight = new Sight(scope(), moving.program());
    boolean through =
        use.scope() != null
            && !declaring.getKind().isInterface()
            && sight.hides(declaring)
            && !sight.hides(use.scope());
    return through ? use.scope() : declaring;
  }

  /** Whether the new place gives the code the same static member by its name alone. */
  private boolean isKnownThere(MovedCode.Static use) {
    String name = use.member().getSimpleName().toString();
    boolean method = use.member().getKind() == ElementKind.METHOD;
    Elements elements = moving.program().elements();
    for (Element at = scope(); at instanceof TypeElement type; at = at.getEnclosingElement()) {
      List<? extends Element> here =
          elements.getAllMembers(type).stream()
              .filter(member -> member.getSimpleName().contentEquals(name))
              .filter(member -> (member.getKind() == ElementKind.METHOD) == method)
              .filter(member -> method || member.getKind().isField())
              .toList();
      if (!here.isEmpty() || method && type.equals(scope()) && name.equals(moving.name())) {
        return here.size() == 1 && here.contains(use.member()) && !isShadowed(use.member(), name);
      }
    }
    return false;
  }

  private void rename(MovedCode.Named named) {
    if (isWithinAgain(named.tree())) {
      return;
    }
    String written = named.tree().getName().toString();
    if (!names.of(named.type(), scope()).equals(written)) {
      Written.Text text = Written.text("");
      names.write(text, named.type(), scope(), place(named.tree()));
      replace(trees.start(named.tree()), trees.end(named.tree()), text);
    }
  }
}
