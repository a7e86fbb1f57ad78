package paredown.refactor;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.refactor.MemberUses.MemberUse;

/**
 * Refuses where code that runs before the new object is made could use it: an inherited constructor
 * that calls an overridden method, or an initialiser that runs earlier.
 */
final class EarlyUses {
  /** Packages whose classes do not call what a subclass overrides while they are constructed. */
  private static final Set<String> QUIET =
      Set.of("java.lang", "java.io", "java.util", "java.util.concurrent", "java.text", "java.net");

  private final OwnerClass owner;
  private final List<OwnerClass.Field> fields;
  private final Leaving leaving;
  private final Construction construction;
  private final Reach reach;

  EarlyUses(Leaving leaving, Construction construction) {
    this.owner = leaving.owner();
    this.fields = leaving.fieldsOfObject();
    this.leaving = leaving;
    this.construction = construction;
    this.reach = new Reach(leaving);
  }

  void require() {
    requireQuietSuperclass();
    int made = construction.atDeclaration() ? lastInitialised() : Integer.MAX_VALUE;
    for (OwnerClass.Field field : owner.fields()) {
      boolean runs = !field.is(Modifier.STATIC) && field.tree().getInitializer() != null;
      if (runs && !fields.contains(field) && field.declared() < made) {
        requireQuiet(new TreePath(field.path(), field.tree().getInitializer()));
      }
    }
    for (OwnerClass.Initialiser block : owner.initialisers()) {
      if (!block.tree().isStatic() && owner.trees().start(block.tree()) < made) {
        requireQuiet(block.path());
      }
    }
  }

  /** Where the last of the fields has its value; the new object has all of them at the first. */
  private int lastInitialised() {
    return fields.stream()
        .filter(field -> field.tree().getInitializer() != null)
        .mapToInt(field -> field.declared())
        .max()
        .orElse(fields.isEmpty() ? -1 : fields.get(0).declared());
  }

  /** Whether a use stands where its field, and the object that will hold it, are there already. */
  private boolean isReady(MemberUse use) {
    boolean declared =
        fields.stream()
            .filter(field -> field.key().equals(use.key()))
            .allMatch(field -> field.declared() < use.offset());
    return construction.atDeclaration()
        && declared
        && (fields.isEmpty() || fields.get(0).declared() < use.offset());
  }

  private void requireQuiet(TreePath code) {
    int start = owner.trees().start(code.getLeaf());
    int end = owner.trees().end(code.getLeaf());
    for (MemberUse use : leaving.staying()) {
      boolean here =
          use.key().startsWith("field ")
              && use.file().equals(owner.trees().path())
              && use.offset() >= start
              && use.offset() < end;
      if (here && !isReady(use)) {
        throw early(use.offset());
      }
    }
    for (OwnerTouches.Touch touch : OwnerTouches.in(owner, code)) {
      if (touch.called() == null || reach.uses(touch)) {
        throw early(touch.offset());
      }
    }
  }

  private String subject() {
    return fields.isEmpty() ? leaving.methods().get(0).name() : fields.get(0).name();
  }

  private Refused early(int offset) {
    return Refused.because(RefusalKind.USED_BEFORE_BUILT, subject(), owner.source().place(offset));
  }

  private void requireQuietSuperclass() {
    for (TypeElement above = superclass(owner.element());
        above != null && !above.getQualifiedName().contentEquals("java.lang.Object");
        above = superclass(above)) {
      if (isQuiet(above)) {
        continue;
      }
      for (OwnerClass.Method method : owner.methods()) {
        if (overrides(method, above) && reach.uses(method.element())) {
          throw Refused.of(
              RefusalKind.USED_BEFORE_BUILT,
              subject(),
              "the constructor of "
                  + above.getSimpleName()
                  + " might call "
                  + OwnerClass.signature(method),
              owner.trees().place(method.tree()));
        }
      }
    }
  }

  /** Whether a class's constructors are known to call nothing that a subclass may override. */
  private boolean isQuiet(TypeElement type) {
    String packageName =
        owner.program().elements().getPackageOf(type).getQualifiedName().toString();
    return QUIET.contains(packageName)
        || ElementFilter.constructorsIn(type.getEnclosedElements()).stream()
            .allMatch(this::hasQuietBody);
  }

  private boolean hasQuietBody(ExecutableElement constructor) {
    TreePath path = owner.program().declaration(constructor);
    if (path == null) {
      return false;
    }
    boolean[] quiet = {true};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        boolean own =
            tree.getMethodSelect() instanceof IdentifierTree name
                && !name.getName().contentEquals("super")
                && !name.getName().contentEquals("this");
        quiet[0] &= !own;
        return super.visitMethodInvocation(tree, null);
      }

      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        boolean self = tree.getName().contentEquals("this");
        boolean field =
            getCurrentPath().getParentPath().getLeaf() instanceof MemberSelectTree
                && !(getCurrentPath().getParentPath().getParentPath().getLeaf()
                    instanceof MethodInvocationTree);
        boolean constructorCall =
            getCurrentPath().getParentPath().getLeaf() instanceof MethodInvocationTree call
                && call.getMethodSelect() == tree;
        quiet[0] &= !self || field || constructorCall;
        return null;
      }
    }.scan(path, null);
    return quiet[0];
  }

  private TypeElement superclass(TypeElement type) {
    TypeMirror above = type.getSuperclass();
    return owner.program().types().asElement(above) instanceof TypeElement element ? element : null;
  }

  private boolean overrides(OwnerClass.Method method, TypeElement above) {
    return ElementFilter.methodsIn(above.getEnclosedElements()).stream()
        .anyMatch(
            each ->
                each.getSimpleName().equals(method.element().getSimpleName())
                    && owner
                        .program()
                        .elements()
                        .overrides(method.element(), each, owner.element()));
  }
}
