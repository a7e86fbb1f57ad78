package paredown.refactor.carry;

import com.sun.source.tree.IdentifierTree;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.OwnerClass;

/** Static members that code names alone, since its class, or one around it, has them. */
public record OwnerStatics(OwnerClass owner) {

  /** Whether a member means the same where its name stands alone outside the owner. */
  public boolean areNamedAlone(String name, TypeElement declaring) {
    return isImportedStatically(name, declaring) || !isInScope(declaring);
  }

  /** Whether a static member is found because the owner, or a class around it, has it. */
  private boolean isInScope(TypeElement declaring) {
    for (Element at = owner.element();
        at instanceof TypeElement type;
        at = at.getEnclosingElement()) {
      if (owner.program().isOrIsBelow(type, declaring)) {
        return true;
      }
    }
    return false;
  }

  private boolean isImportedStatically(String name, TypeElement declaring) {
    return owner.trees().unit().tree().getImports().stream()
        .filter(each -> each.isStatic())
        .map(each -> each.getQualifiedIdentifier().toString())
        .anyMatch(
            each -> each.endsWith("." + name) || each.equals(declaring.getQualifiedName() + ".*"));
  }

  /** Whether a class is in the owner's package, so that its name can stand before a member. */
  public boolean isNear(TypeElement declaring) {
    return owner
        .program()
        .elements()
        .getPackageOf(declaring)
        .getQualifiedName()
        .contentEquals(owner.packageName());
  }

  /** Puts the name of its class before a member. */
  public Replacement qualified(IdentifierTree tree, TypeElement declaring) {
    String packageName = owner.packageName();
    String qualified = declaring.getQualifiedName().toString();
    String written =
        packageName.isEmpty() ? qualified : qualified.substring(packageName.length() + 1);
    Written.Text text = Written.text("");
    TypeNames.spell(text, declaring, written, owner.program().symbols()::key, null);
    int offset = owner.trees().start(tree);
    return Replacement.of(offset, offset, text.text(".").done());
  }
}
