package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.edit.Carried;
import paredown.edit.Indent;
import paredown.edit.Replacement;
import paredown.edit.Self;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.DocReference;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.SimpleNames;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.Sight;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.Widening;
import paredown.refactor.use.OwnerClass;

/** The code of a held object's class as it stands in the class that holds it. */
final class HomeCode {
  private final OwnerClass gone;
  private final OwnerClass home;
  private final HomeNames names;
  private final TypeNames types;
  private final Widening widening;
  private final UnitTrees trees;
  private final Program program;

  private final Cannot cannot;

  HomeCode(OwnerClass gone, OwnerClass home, HomeNames names, TypeNames types, Widening widening) {
    this.gone = gone;
    this.home = home;
    this.names = names;
    this.types = types;
    this.widening = widening;
    this.trees = gone.trees();
    this.program = gone.program();
    this.cannot =
        new Cannot(
            "%s cannot be inlined into %s".formatted(gone.writtenName(), home.writtenName()));
  }

  /**
   * A range of the old class in the new one.
   *
   * @param code what stands in the range, as far as it is code
   * @param more other edits within
   */
  Carried carried(int start, int end, List<TreePath> code, List<Replacement> more) {
    List<Replacement> inside = new ArrayList<>(more);
    Set<Integer> said = new HashSet<>();
    // Fields that are declared together have one type.
    code.forEach(
        each -> edits(each).stream().filter(edit -> said.add(edit.start())).forEach(inside::add));
    inside.addAll(docs(start, end));
    inside.removeIf(each -> !each.isWithin(start, end));
    Layout from = Layout.of(gone);
    Layout to = Layout.of(home, from.unit());
    String lineEnd = gone.source().lineEnd().equals(to.lineEnd()) ? "" : to.lineEnd();
    Indent indent =
        new Indent(from.member(), to.member(), new Indent.Level(from.unit(), to.unit()), lineEnd);
    return new Carried(
        trees.path(), start, end, inside, indent, new Self(gone.binaryName(), home.binaryName()));
  }

  private List<Replacement> edits(TreePath code) {
    List<Replacement> edits = new ArrayList<>();
    CodeElsewhere elsewhere = new CodeElsewhere(trees, types, home.element(), true);
    Sight sight = new Sight(home.element(), program);
    for (Element each : CodeElsewhere.named(trees, code)) {
      if (!isOwn(each)) {
        widening.open(each, sight, gone.simpleName(), trees.place(code.getLeaf()));
      }
    }
    new SimpleNames(trees) {
      @Override
      protected void name(IdentifierTree tree) {
        TreePath path = getCurrentPath();
        Element element = trees.element(path);
        String word = tree.getName().toString();
        if (word.equals("this") || word.equals("super")) {
          requireAsking(path, word);
        } else if (gone.element().equals(element)) {
          edits.add(itself(path));
        } else if (isOwn(element)) {
          member(element, trees.start(tree));
        } else if (element instanceof TypeElement) {
          edits.add(elsewhere.type(path));
        } else if (element != null && isMember(element)) {
          other(element, path);
        }
      }

      private void other(Element element, TreePath path) {
        boolean fixed = element.getModifiers().contains(Modifier.STATIC);
        boolean around = isAround((TypeElement) element.getEnclosingElement());
        if (fixed && !around && !CodeElsewhere.isLabel(element, path)) {
          edits.add(elsewhere.qualified(path));
        } else if (!fixed && isOfSelf(path)) {
          throw cannot.because(
              RefusalKind.THIS_ESCAPES,
              "its code asks its object for " + element.getSimpleName() + ", which any object has",
              trees.place(path.getLeaf()));
        }
      }

      @Override
      public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
        if (isOwn(trees.element(getCurrentPath()))) {
          member(trees.element(getCurrentPath()), trees.end(tree) - tree.getIdentifier().length());
        }
        return super.visitMemberSelect(tree, null);
      }

      @Override
      public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
        if (isOwn(trees.element(getCurrentPath()))) {
          member(trees.element(getCurrentPath()), trees.end(tree) - tree.getName().length());
        }
        return super.visitMemberReference(tree, null);
      }

      private void member(Element element, int at) {
        if (names.isRenamed(element)) {
          edits.add(renamed(element, at));
        }
      }
    }.scan(code, null);
    return edits;
  }

  /** A member by its new name; the object that it is asked of is another's, too. */
  private Replacement renamed(Element element, int at) {
    Written.Text text = Written.text("");
    for (Use use : program.uses().within(trees.path(), at, at + 1)) {
      if (use.isReceiver()) {
        text.here(use.kind(), Symbols.typeKey(home.binaryName()), use.place());
      }
    }
    text.name(names.of(element), names.key(element), Rewriting.name(trees, at));
    return Replacement.of(at, at + element.getSimpleName().length(), text.done());
  }

  /** The name of the class itself, in front of {@code this} or of a static member. */
  private Replacement itself(TreePath path) {
    TreePath around = path.getParentPath();
    boolean asks =
        around.getLeaf() instanceof MemberSelectTree
            && !(trees.element(around) instanceof TypeElement);
    if (!asks) {
      throw cannot.because(
          RefusalKind.THIS_ESCAPES, "its code needs the class itself", trees.place(path.getLeaf()));
    }
    int start = trees.start(path.getLeaf());
    Written.Text text = Written.text("");
    types.write(text, home.element(), home.element(), Rewriting.name(trees, start));
    return new Replacement(start, trees.end(path.getLeaf()), List.of(text.done()), List.of());
  }

  /** {@code this} may be asked for a member, and nothing else. */
  private void requireAsking(TreePath path, String word) {
    TreePath around = path.getParentPath();
    boolean ofOther = !gone.element().equals(trees.classAround(path));
    boolean asks =
        around.getLeaf() instanceof MemberSelectTree && isOwn(trees.element(around))
            || around.getLeaf() instanceof MemberReferenceTree && isOwn(trees.element(around));
    if (!asks && !ofOther) {
      throw cannot.because(
          RefusalKind.THIS_ESCAPES,
          word.equals("this")
              ? "its code hands out its object"
              : "its code asks for what any object has",
          trees.place(path.getLeaf()));
    }
  }

  /** Whether a name is asked of the object itself, and not of one of a class within. */
  private boolean isOfSelf(TreePath path) {
    int at = trees.start(path.getLeaf());
    return program
        .uses()
        .at(trees.path(), at, UseKind.RECEIVER)
        .filter(use -> use.key().equals(Symbols.typeKey(gone.binaryName())))
        .isPresent();
  }

  private boolean isOwn(Element element) {
    return element != null
        && isMember(element)
        && gone.element().equals(element.getEnclosingElement());
  }

  private static boolean isMember(Element element) {
    // The compiler takes this and super for fields.
    String name = element.getSimpleName().toString();
    boolean self = name.equals("this") || name.equals("super");
    return element.getKind().isField() && !self || element.getKind() == ElementKind.METHOD;
  }

  /** Whether a class is around the new place, so that its members are known there. */
  private boolean isAround(TypeElement type) {
    for (Element at = home.element(); at != null; at = at.getEnclosingElement()) {
      if (at.equals(type)) {
        return true;
      }
    }
    return false;
  }

  /** The references of comments, by the names that they have there. */
  private List<Replacement> docs(int start, int end) {
    List<Replacement> docs = new ArrayList<>();
    for (Use use : program.uses().within(trees.path(), start, end)) {
      if (use.isDoc()) {
        reference(use, docs);
      }
    }
    return docs;
  }

  private void reference(Use use, List<Replacement> docs) {
    int behind = DocReference.end(gone.source(), use.offset());
    String said = gone.source().slice(use.offset(), behind);
    String member = said.contains("#") ? said.substring(said.indexOf('#')) : "";
    String word = said.substring(0, said.length() - member.length());
    String binary = use.key().replaceAll("^\\S+ ", "").replaceAll("[#(].*", "");
    TypeElement type = program.elements().getTypeElement(binary.replace('$', '.'));
    if (type == null) {
      return;
    }
    String now = names.keysWithClass().get(use.key());
    String known =
        word.isEmpty()
            ? ""
            : now != null ? home.simpleName() : types.knownOrFull(type, home.element());
    String rest =
        now == null || member.isEmpty()
            ? member
            : member.replaceFirst("#[\\w$]+", now.replaceAll("^.*(#[^(]+).*", "$1"));
    Written.Text text = Written.text("");
    if (now == null) {
      text.hereStill(UseKind.DOC, use.key(), use.place());
    } else {
      text.here(UseKind.DOC, now, use.place());
    }
    if (!known.equals(word) || !rest.equals(member)) {
      docs.add(Replacement.of(use.offset(), behind, text.text(known + rest).done()));
    }
  }
}
