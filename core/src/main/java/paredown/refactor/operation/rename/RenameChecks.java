package paredown.refactor.operation.rename;

import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ModifiersTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.program.Below;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.ReflectionCheck;
import paredown.refactor.use.Remarks;
import paredown.refactor.use.Ties;

/** What must hold before something gets another name: nobody else knows it by the old one. */
final class RenameChecks {
  private final OwnerClass owner;
  private final Program program;
  private final Rename arguments;
  private final Map<Element, String> renamed;
  private final Overruled overruled;

  RenameChecks(
      OwnerClass owner, Rename arguments, Map<Element, String> renamed, Overruled overruled) {
    this.owner = owner;
    this.program = owner.program();
    this.arguments = arguments;
    this.renamed = renamed;
    this.overruled = overruled;
  }

  /** Refuses where somebody outside the sources knows the name, or the new one is taken. */
  void require() {
    Element first = renamed.keySet().iterator().next();
    for (Element element : renamed.keySet()) {
      requireOwn(element, Component.isField(first));
      boolean member = element.getKind().isField() || element.getKind() == ElementKind.METHOD;
      if (member) {
        requireNoOnlooker(element);
        requireFree(element);
      }
    }
    ReflectionCheck check = new ReflectionCheck(owner, renamed);
    if (arguments.inStrings()) {
      SpeltMember spelt = SpeltMember.of(owner, arguments);
      check.passingOver((source, literal) -> spelt.changes(program.sources(), source, literal));
    }
    if (first.getKind().isField()) {
      check.requireUnless(overruled);
    } else if (first.getKind() == ElementKind.METHOD) {
      check.requireUnless(arguments.accepted().contains(RefusalKind.REFLECTED));
    }
  }

  private Refused fixed(Element element, String why) {
    TreePath path =
        element.getEnclosingElement() instanceof TypeElement type && !program.declares(type)
            ? null
            : program.declaration(element);
    String place =
        path == null
            ? owner.trees().place(owner.tree())
            : new UnitTrees(program, program.unit(path).orElseThrow()).place(path.getLeaf());
    return Refused.advising(
        RefusalKind.FIXED_NAME,
        "%s cannot be renamed: %s.".formatted(arguments.old(), why),
        "",
        place);
  }

  private void requireOwn(Element element, boolean ofComponent) {
    if (element.getEnclosingElement() instanceof TypeElement type && !program.declares(type)) {
      throw fixed(element, "it overrides a method of " + type.getQualifiedName());
    }
    boolean other =
        !ofComponent && (Component.isAccessor(program, element) || Component.isParameter(element))
            || ofComponent
                && Component.isAccessor(program, element)
                && !element.getEnclosingElement().equals(owner.element());
    if (other) {
      Element record = element.getEnclosingElement();
      record = record instanceof TypeElement ? record : record.getEnclosingElement();
      throw fixed(
          element,
          "it has its name from the component %s of %s"
              .formatted(arguments.old(), record.getSimpleName()));
    }
    if (element instanceof ExecutableElement method) {
      if (method.getModifiers().contains(Modifier.NATIVE)) {
        throw fixed(element, "code in another language finds it by its name");
      }
      if (Ties.isCalledByName(method.getSimpleName().toString())) {
        throw fixed(element, "the platform looks for it by its name");
      }
    }
  }

  private void requireNoOnlooker(Element element) {
    TreePath path = program.declaration(element);
    if (path == null) {
      return;
    }
    UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
    ModifiersTree modifiers =
        path.getLeaf() instanceof MethodTree method
            ? method.getModifiers()
            : ((VariableTree) path.getLeaf()).getModifiers();
    Remarks.telling(
            owner,
            path,
            modifiers,
            name -> name.equals("java.lang.Override") || name.startsWith("org.junit."))
        .forEach(each -> refuse(RefusalKind.MAPPED_FIELD, element, trees.place(each)));
    boolean stored =
        element.getKind().isField()
            && !element.getModifiers().contains(Modifier.STATIC)
            && !element.getModifiers().contains(Modifier.TRANSIENT)
            && owner.isA("java.io.Serializable");
    if (stored) {
      refuse(RefusalKind.SERIALIZED, element, trees.place(path.getLeaf()));
    }
  }

  private void refuse(RefusalKind kind, Element element, String place) {
    if (!overruled.overrules(kind)) {
      throw Refused.advising(
          kind,
          "%s cannot be renamed: %s.".formatted(element.getSimpleName(), kind.why()),
          "If that does not matter here, say --accept " + kind.id() + ".",
          place);
    }
  }

  /** Refuses where a class above, below or the same has another member of the new name. */
  private void requireFree(Element element) {
    TypeElement type = (TypeElement) element.getEnclosingElement();
    Set<TypeElement> family = new LinkedHashSet<>(List.of(type));
    family.addAll(program.supertypes(type));
    family.addAll(Below.of(program, List.of(type)));
    for (TypeElement each : family) {
      for (Element other : each.getEnclosedElements()) {
        boolean clashes =
            other.getSimpleName().contentEquals(arguments.name())
                && (element.getKind().isField() && other.getKind().isField()
                    || element instanceof ExecutableElement one
                        && other instanceof ExecutableElement two
                        && one.getParameters().size() == two.getParameters().size());
        if (clashes) {
          throw Refused.advising(
              RefusalKind.NAME_TAKEN,
              "%s cannot be named %s: %s has one of that name."
                  .formatted(arguments.old(), arguments.name(), each.getSimpleName()),
              "Choose another with --name.",
              owner.trees().place(owner.tree()));
        }
      }
    }
  }
}
