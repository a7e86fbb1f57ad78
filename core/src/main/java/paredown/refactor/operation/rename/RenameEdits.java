package paredown.refactor.operation.rename;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeParameterTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.Shadows;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/** Says a new name wherever it is meant: declarations, uses, Javadoc and static imports. */
final class RenameEdits {
  private final OwnerClass owner;
  private final Program program;
  private final Rename arguments;
  private final Map<Element, String> renamed;
  private final EditList edits = new EditList();

  /**
   * Edits of a rename.
   *
   * @param renamed what is renamed, and the key that each has before
   */
  RenameEdits(OwnerClass owner, Rename arguments, Map<Element, String> renamed) {
    this.owner = owner;
    this.program = owner.program();
    this.arguments = arguments;
    this.renamed = renamed;
  }

  EditList collected() {
    renamed.keySet().forEach(this::declaration);
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      program.uses().in(unit.path()).toList().forEach(use -> link(use, trees));
      imports(trees);
    }
    Map<Element, String> members = new LinkedHashMap<>();
    renamed.forEach(
        (element, key) -> {
          if (isLocal(key) || element.getKind() == ElementKind.TYPE_PARAMETER) {
            program.uses().of(key).stream()
                .filter(use -> use.isName())
                .forEach(use -> say(owner.trees(), use.offset(), ""));
            hidden(element);
          } else {
            members.put(element, key);
          }
        });
    MemberUses.of(program, members).forEach(this::use);
    return edits;
  }

  /** Whether a key is that of a variable of a body. */
  static boolean isLocal(String key) {
    return key.startsWith("local ");
  }

  /** Says the name where something is declared, unless the compiler declares it by itself. */
  private void declaration(Element element) {
    TreePath path = program.declaration(element);
    if (path == null) {
      return;
    }
    UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
    int at = declared(path.getLeaf(), trees);
    if (trees.end(path.getLeaf()) >= 0 && trees.source().text().startsWith(arguments.old(), at)) {
      say(trees, at, "");
    }
    documented(element, path, trees);
  }

  private static int declared(Tree tree, UnitTrees trees) {
    if (tree instanceof TypeParameterTree variable) {
      return trees
          .source()
          .findName(variable.getName().toString(), trees.start(tree), trees.end(tree));
    }
    return tree instanceof VariableTree variable
        ? trees.names().of(variable)
        : trees.names().of((MethodTree) tree);
  }

  private void use(MemberUses.MemberUse use) {
    String qualifier = use.simple() ? new Shadows(use, arguments.name()).qualifier() : "";
    say(use.trees(), use.offset(), qualifier);
  }

  /** Writes the new name at a place, where other things may be meant besides. */
  private void say(UnitTrees trees, int offset, String qualifier) {
    String old = arguments.old();
    if (!trees.source().text().startsWith(old, offset)) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "The name %s is written in a way that is not understood yet.".formatted(old),
          "Write it plainly there first.",
          trees.source().place(offset));
    }
    Written.Text text = Written.text("");
    Use name = beside(text, trees, offset, qualifier);
    if (name == null) {
      text.text(arguments.name());
    } else if (isLocal(name.key())) {
      text.local(arguments.name(), name.place());
    } else {
      text.name(arguments.name(), arguments.newKey(name.key()), name.place());
    }
    edits.add(trees.path(), Replacement.of(offset, offset + old.length(), text.done()));
  }

  /** Writes what is meant at a place besides a name, and what it is asked of; gives the name. */
  private Use beside(Written.Text text, UnitTrees trees, int offset, String qualifier) {
    Use name = null;
    boolean asked = qualifier.isEmpty();
    for (Use use : program.uses().within(trees.path(), offset, offset + 1)) {
      if (use.isName()) {
        name = use;
      } else if (use.isReceiver() && !asked) {
        Shadows.write(text, use, qualifier);
        asked = true;
      } else {
        text.hereStill(use.kind(), use.key(), use.place());
      }
    }
    if (!asked && name != null) {
      String member = name.key();
      String home = member.substring("field ".length(), member.indexOf('#'));
      text.name(qualifier, Symbols.typeKey(home)).text(".");
    }
    return name;
  }

  /** The fields that a variable stands in front of, when it has their name, are asked for. */
  private void hidden(Element variable) {
    TreePath declared = program.declaration(variable);
    if (declared == null || !(declared.getLeaf() instanceof VariableTree)) {
      return;
    }
    UnitTrees trees = new UnitTrees(program, program.unit(declared).orElseThrow());
    String name = arguments.name();
    int from = trees.start(declared.getLeaf());
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        Element meant = trees.element(getCurrentPath());
        boolean field =
            tree.getName().contentEquals(name) && meant != null && meant.getKind().isField();
        if (field && trees.start(tree) > from) {
          ask(trees, getCurrentPath(), meant);
        }
        return null;
      }
    }.scan(declared.getParentPath(), null);
  }

  private void ask(UnitTrees trees, TreePath path, Element field) {
    int at = trees.start(path.getLeaf());
    String key = program.symbols().key(field);
    MemberUses.MemberUse use =
        new MemberUses.MemberUse(trees, path, at, key, true, MemberUses.Access.READ);
    String qualifier = new Shadows(use, arguments.name()).behindVariable();
    if (qualifier.isEmpty()) {
      return;
    }
    Written.Text text = Written.text("");
    Use name = beside(text, trees, at, qualifier);
    if (name != null) {
      text.name(arguments.name(), key, name.place());
      edits.add(trees.path(), Replacement.of(at, at + arguments.name().length(), text.done()));
    }
  }

  /** A Javadoc link says the member's name behind a sign. */
  private void link(Use use, UnitTrees trees) {
    if (!use.isDoc() || !renamed.containsValue(use.key()) || isLocal(use.key())) {
      return;
    }
    SourceText source = trees.source();
    if (use.key().startsWith("tvar ") && source.text().startsWith(arguments.old(), use.offset())) {
      // What a method throws is told by the variable's name alone.
      edits.add(
          trees.path(),
          Replacement.of(
              use.offset(),
              use.offset() + arguments.old().length(),
              Written.text("")
                  .here(UseKind.DOC, arguments.newKey(use.key()), use.place())
                  .text(arguments.name())
                  .done()));
      return;
    }
    int sharp = source.text().indexOf('#', use.offset());
    boolean plain =
        sharp >= 0
            && !source.slice(use.offset(), sharp).contains(" ")
            && source.text().startsWith(arguments.old(), sharp + 1);
    if (!plain) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "A Javadoc link names %s in a way that is not understood yet.".formatted(arguments.old()),
          "Write it as {@link Type#member} first.",
          source.place(use.offset()));
    }
    String old = arguments.old();
    edits.add(
        trees.path(),
        Replacement.of(sharp + 1, sharp + 1 + old.length(), Written.plain(arguments.name())));
  }

  /** The comment of a method or type tells of its parameters by their names. */
  private void documented(Element element, TreePath path, UnitTrees trees) {
    boolean variable = element.getKind() == ElementKind.TYPE_PARAMETER;
    boolean component = Component.isField(element);
    TreePath around = path.getParentPath();
    boolean told =
        variable
            || component
            || element.getKind() == ElementKind.PARAMETER && around.getLeaf() instanceof MethodTree;
    if (!told || trees.start(around.getLeaf()) < 0 || trees.end(around.getLeaf()) < 0) {
      return;
    }
    MemberRange range =
        MemberRange.of(trees.source(), trees.start(around.getLeaf()), trees.end(around.getLeaf()));
    String old = Pattern.quote(arguments.old());
    Matcher tag =
        Pattern.compile("@param\\s+" + (variable ? "<(" + old + ")>" : "(" + old + ")\\b"))
            .matcher(trees.source().slice(range.start(), range.declaration()));
    while (tag.find()) {
      edits.add(
          trees.path(),
          Replacement.of(
              range.start() + tag.start(1),
              range.start() + tag.end(1),
              Written.plain(arguments.name())));
    }
  }

  /** A static import names all members of a name at once. */
  private void imports(UnitTrees trees) {
    for (Element element : renamed.keySet()) {
      if (!element.getModifiers().contains(Modifier.STATIC)) {
        continue;
      }
      TypeElement type = (TypeElement) element.getEnclosingElement();
      String whole = type.getQualifiedName() + "." + arguments.old();
      for (ImportTree tree : trees.unit().tree().getImports()) {
        if (tree.isStatic() && tree.getQualifiedIdentifier().toString().equals(whole)) {
          boolean others =
              type.getEnclosedElements().stream()
                  .filter(each -> each.getModifiers().contains(Modifier.STATIC))
                  .filter(each -> each.getSimpleName().contentEquals(arguments.old()))
                  .anyMatch(each -> !renamed.containsKey(each));
          int end = trees.end(tree.getQualifiedIdentifier());
          int start = end - arguments.old().length();
          if (others) {
            throw Refused.advising(
                RefusalKind.CALL_SHAPE,
                "A static import names other members that are called %s, too."
                    .formatted(arguments.old()),
                "Import what is renamed by its class there first.",
                trees.source().place(start));
          }
          Use use = program.uses().at(trees.path(), start, UseKind.NAME).orElseThrow();
          String key = use.key().replaceFirst("(?<=^static member )\\S+", arguments.name());
          edits.add(
              trees.path(),
              Replacement.of(
                  start, end, Written.text("").name(arguments.name(), key, use.place()).done()));
        }
      }
    }
  }
}
