package paredown.refactor.operation.rename;

import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeParameterTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.LinkedHashMap;
import java.util.List;
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
    List<Use> here = program.uses().within(trees.path(), offset, offset + 1);
    Use name = null;
    for (Use use : here) {
      if (use.isName()) {
        name = use;
      } else if (use.isReceiver() && !qualifier.isEmpty()) {
        Shadows.write(text, use, qualifier);
      } else {
        text.hereStill(use.kind(), use.key(), use.place());
      }
    }
    if (name == null) {
      text.text(arguments.name());
    } else if (isLocal(name.key())) {
      text.local(arguments.name(), name.place());
    } else {
      text.name(arguments.name(), arguments.newKey(name.key()), name.place());
    }
    edits.add(trees.path(), Replacement.of(offset, offset + old.length(), text.done()));
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
