package paredown.refactor.operation.extractclass;

import com.sun.source.doctree.ReferenceTree;
import com.sun.source.tree.TypeParameterTree;
import com.sun.source.util.DocTreePath;
import com.sun.source.util.DocTreePathScanner;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.name.Sight;
import paredown.refactor.name.Widening;
import paredown.refactor.plan.Fluent;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.OwnerClass;

/**
 * Looks through members that are about to leave their class: requires that they can live outside,
 * and collects what has to be said differently there.
 */
final class CarriedCode {
  private final OwnerClass owner;
  private final Leaving leaving;
  private final Map<Element, String> moved;
  private final NewClass type;
  private final Receiving receiving;
  private final Sight sight;
  private final List<Replacement> edits = new ArrayList<>();
  private final Widening widening;
  private final Set<String> simpleNames = new LinkedHashSet<>();
  private final Set<TypeElement> nestedTypes = new LinkedHashSet<>();
  private final Set<TypeParameterElement> variables = new LinkedHashSet<>();

  /**
   * Looks at what leaves for a class.
   *
   * @param receiving takes what methods receive of their old object
   */
  CarriedCode(Leaving leaving, NewClass type, Receiving receiving) {
    this.receiving = receiving;
    this.owner = leaving.owner();
    this.leaving = leaving;
    this.moved = leaving.keys();
    this.type = type;
    this.sight = type.sight();
    this.widening = new Widening(owner.program());
  }

  /** What the new place sees. */
  Sight sight() {
    return sight;
  }

  void add(Replacement edit) {
    edits.add(edit);
  }

  /** Notes a name that stands alone. */
  void named(String name) {
    simpleNames.add(name);
  }

  /** Notes a type that only the old place let be named so. */
  void nested(TypeElement nested) {
    nestedTypes.add(nested);
  }

  /** Notes a type variable of the owner; whether it was not noted yet. */
  boolean needs(TypeParameterElement variable) {
    return variables.add(variable);
  }

  /** What has to be said differently in the new place. */
  List<Replacement> edits() {
    // What fields share that are declared together was looked through more than once.
    return edits.stream().distinct().toList();
  }

  /** What must be visible from outside the owner now. */
  Widening widening() {
    return widening;
  }

  /** The names that stand alone, for which the new file may need imports. */
  Set<String> simpleNames() {
    return simpleNames;
  }

  /** Types named by a simple name that only the old place gave them, in need of an import. */
  Set<TypeElement> nestedTypes() {
    return nestedTypes;
  }

  /** The type variables of the owner that they need, bounds included, in their order. */
  List<TypeParameterTree> variables() {
    List<TypeParameterTree> needed = new ArrayList<>();
    for (TypeParameterTree tree : owner.tree().getTypeParameters()) {
      if (variables.contains(owner.trees().element(new TreePath(owner.path(), tree)))) {
        needed.add(tree);
      }
    }
    return needed;
  }

  /** Looks through fields, with their comments where they take them along. */
  void carry(FieldDeclaration declaration) {
    for (OwnerClass.Field field : declaration.leaving()) {
      CarriedCodeScan scan = new CarriedCodeScan(this, leaving, type, field.name());
      scan.scan(field.path(), null);
      scan.requireNoNeeds();
      if (declaration.isWhole()) {
        docs(field.path());
      }
    }
  }

  /** Looks what a method that leaves a delegate needs of its old object. */
  void look(OwnerClass.Method method) {
    CarriedCodeScan scan = scan(method);
    scan.leavingDelegate();
    if (Fluent.is(owner, method)) {
      scan.leavingFluentDelegate();
    }
    scan.scan(method.path(), null);
  }

  private CarriedCodeScan scan(OwnerClass.Method method) {
    CarriedCodeScan scan = new CarriedCodeScan(this, leaving, type, OwnerClass.signature(method));
    if (!method.is(Modifier.STATIC)) {
      receiving.passing(method).ifPresent(scan::passing);
    }
    return scan;
  }

  /** Looks through a method; its Javadoc comment comes along only where no delegate keeps it. */
  void carry(OwnerClass.Method method, boolean withDocs) {
    CarriedCodeScan scan = scan(method);
    if (!withDocs) {
      scan.leavingDelegate();
    }
    if (!withDocs && Fluent.is(owner, method)) {
      scan.leavingFluentDelegate();
      edits.addAll(Fluent.edits(owner, method));
    }
    scan.scan(method.path(), null);
    scan.requireNoNeeds(method);
    if (receiving.isWhole(method.element())) {
      widening.open(
          owner.element(), sight, OwnerClass.signature(method), owner.trees().place(method.tree()));
      scan.allVariables();
    }
    for (Received each : receiving.of(method.element())) {
      each.field()
          .ifPresent(field -> scan.scan(new TreePath(field.path(), field.tree().getType()), null));
    }
    if (withDocs) {
      docs(method.path());
    }
  }

  private void docs(TreePath member) {
    var trees = owner.program().trees();
    var comment = trees.getDocCommentTree(member);
    if (comment == null) {
      return;
    }
    new DocTreePathScanner<Void, Void>() {
      @Override
      public Void visitReference(ReferenceTree reference, Void unused) {
        DocTreePath path = getCurrentPath();
        int offset =
            (int)
                trees
                    .getSourcePositions()
                    .getStartPosition(owner.trees().unit().tree(), comment, reference);
        reference(reference.getSignature(), trees.getElement(path), offset);
        return super.visitReference(reference, null);
      }
    }.scan(new DocTreePath(member, comment), null);
  }

  /** A class of the old package is known in another by an import only. */
  private void neighbour(String word, int offset) {
    String name = owner.packageName() + "." + word;
    TypeElement near = type.elsewhere() ? owner.program().elements().getTypeElement(name) : null;
    if (near != null && sight.hides(near)) {
      throw Refused.of(
          RefusalKind.HIDDEN_FROM_OUTSIDE,
          "A Javadoc link",
          word + " is not public",
          owner.source().place(offset));
    }
    if (near != null) {
      nestedTypes.add(near);
    }
  }

  private void reference(String signature, Element element, int offset) {
    for (String word : signature.split("[^\\p{javaJavaIdentifierPart}]+")) {
      if (!word.isEmpty()) {
        simpleNames.add(word);
        neighbour(word, offset);
      }
    }
    if (element == null) {
      return;
    }
    // What receives something has another signature here; its delegate is meant.
    boolean goes = moved.containsKey(element) && receiving.isNothing(element);
    String key = owner.program().symbols().key(element);
    if (signature.startsWith("#") && !goes) {
      edits.add(
          Replacement.of(
              offset,
              offset,
              Written.text("")
                  .here(UseKind.DOC, key, new Use.Place(owner.trees().path(), offset, UseKind.DOC))
                  .text(type.ownerInComments())
                  .done()));
    } else if (!signature.startsWith("#") && goes) {
      throw Refused.because(
          RefusalKind.STATIC_CONTEXT, "A Javadoc link", owner.source().place(offset));
    } else if (element instanceof TypeElement type) {
      String named = signature.replaceAll("[.#<(].*", "");
      if (type.getEnclosingElement() instanceof TypeElement
          && type.getSimpleName().contentEquals(named)) {
        nestedTypes.add(type);
      }
    }
  }
}
