package paredown.refactor.carry;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.SimpleNames;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.VariablesElsewhere;
import paredown.refactor.use.OwnerClass;

/**
 * The code of a member that goes to a class above or below its own: what it asks of its object it
 * asks of the same one there, as far as that has it.
 */
public abstract class CodeInFamily {
  private final OwnerClass from;
  private final OwnerClass to;
  private final Set<Element> along;
  private final CodeElsewhere elsewhere;
  private final VariablesElsewhere variables;
  private List<Replacement> edits = new ArrayList<>();
  private String member = "";

  /**
   * @param along the members that go there as well
   * @param variables what the type variables of its class are there
   */
  protected CodeInFamily(
      OwnerClass from,
      OwnerClass to,
      Set<Element> along,
      TypeNames names,
      VariablesElsewhere variables) {
    this.from = from;
    this.to = to;
    this.along = along;
    this.variables = variables;
    this.elsewhere = new CodeElsewhere(from.trees(), names, to.element(), true);
  }

  /** Which way the members go: up, or down. */
  protected abstract String direction();

  /** Notes that code which goes there names something. */
  protected abstract void names(Element element, Tree place);

  /**
   * The key of what is asked for in the place of a member of the object that stays.
   *
   * @throws Refused where nothing can be
   */
  protected abstract String key(Element element, Tree place);

  /** Looks at a member that is asked of {@code this}, or of any other object. */
  protected abstract void selected(TreePath path, MemberSelectTree tree);

  /**
   * What the code of a member says otherwise there.
   *
   * @throws Refused where it needs what is not there
   */
  public final List<Replacement> edits(TreePath code, String name) {
    edits = new ArrayList<>();
    member = name;
    new SimpleNames(trees()) {
      @Override
      protected void name(IdentifierTree tree) {
        said(getCurrentPath(), code);
      }

      @Override
      public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
        Element element = trees().element(getCurrentPath());
        if (!isMember(element) || !CodeElsewhere.isOfCode(trees(), element, code)) {
          selected(getCurrentPath(), tree);
        }
        return super.visitMemberSelect(tree, null);
      }
    }.scan(code, null);
    return edits;
  }

  /** What its type variables are there, as types are shown. */
  public final Map<String, String> variables() {
    return variables.shown(program().symbols());
  }

  protected final UnitTrees trees() {
    return from.trees();
  }

  protected final Program program() {
    return from.program();
  }

  protected final void edit(Replacement edit) {
    edits.add(edit);
  }

  /** The name of the member whose code it is. */
  protected final String member() {
    return member;
  }

  private void said(TreePath path, TreePath code) {
    Element element = trees().element(path);
    String word = ((IdentifierTree) path.getLeaf()).getName().toString();
    if (word.equals("super") && !isSameAbove(path)) {
      throw refused(RefusalKind.SUPER_CALL, "it asks its superclass", path.getLeaf());
    }
    if (element instanceof TypeParameterElement variable
        && variable.getGenericElement() instanceof TypeElement type
        && !CodeElsewhere.isOfCode(trees(), type, code)) {
      edits.add(variable(variable, path.getLeaf()));
    }
    if (element instanceof TypeElement type) {
      if (type.getNestingKind() != NestingKind.LOCAL
          && !CodeElsewhere.isOfCode(trees(), type, code)) {
        names(type, path.getLeaf());
        edits.add(elsewhere.type(path));
      }
    } else if (!word.equals("this")
        && isMember(element)
        && !along.contains(element)
        && !CodeElsewhere.isOfCode(trees(), element, code)) {
      names(element, path.getLeaf());
      ofFamily(path, element);
    }
  }

  /** Whether what is asked of the superclass is the same from the other class. */
  protected boolean isSameAbove(TreePath superclass) {
    return false;
  }

  private void ofFamily(TreePath path, Element element) {
    if (!element.getModifiers().contains(Modifier.STATIC)) {
      ofObject(path, element);
    } else if (!isInherited(element) && !CodeElsewhere.isLabel(element, path)) {
      edits.add(elsewhere.qualified(path));
    }
  }

  /** A type variable of the class by its name in the other one. */
  private Replacement variable(TypeParameterElement variable, Tree place) {
    TypeParameterElement there =
        variables
            .variable(variable)
            .orElseThrow(
                () ->
                    refused(
                        RefusalKind.OWNER_TYPE_VARIABLE,
                        "it depends on a type variable of its class",
                        place));
    int at = trees().start(place);
    Written named =
        Written.text("")
            .name(
                there.getSimpleName().toString(),
                program().symbols().key(there),
                Rewriting.name(trees(), at))
            .done();
    return Replacement.of(at, at + variable.getSimpleName().length(), named);
  }

  /** Whether an element is a field or method of a type. */
  protected static boolean isMember(Element element) {
    return element != null
        && (element.getKind().isField() || element.getKind() == ElementKind.METHOD)
        && element.getEnclosingElement() instanceof TypeElement;
  }

  /** Whether a member goes there as well. */
  protected final boolean goesAlong(Element element) {
    return along.contains(element);
  }

  /** Whether the other class has a member, or inherits it. */
  protected final boolean isInherited(Element member) {
    Element home = member.getEnclosingElement();
    return home.equals(to.element()) || program().supertypes(to.element()).contains(home);
  }

  /** A member of the object, named alone. */
  private void ofObject(TreePath path, Element element) {
    int at = trees().start(path.getLeaf());
    Optional<Use> receiver = program().uses().at(trees().path(), at, UseKind.RECEIVER);
    boolean own =
        receiver.filter(use -> use.key().equals(Symbols.typeKey(from.binaryName()))).isPresent();
    if (!own) {
      return;
    }
    String key = key(element, path.getLeaf());
    Written.Text text = Written.text("");
    text.here(UseKind.RECEIVER, program().symbols().key(to.element()), receiver.get().place());
    String word = element.getSimpleName().toString();
    text.name(word, key, Rewriting.name(trees(), at));
    edits.add(Replacement.of(at, at + word.length(), text.done()));
  }

  /** The refusal of the member whose code it is. */
  protected final Refused refused(RefusalKind kind, String why, Tree place) {
    return Refused.advising(
        kind, "%s cannot go %s: %s.".formatted(member, direction(), why), "", trees().place(place));
  }
}
