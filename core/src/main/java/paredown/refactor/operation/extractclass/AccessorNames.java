package paredown.refactor.operation.extractclass;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.util.ElementFilter;
import paredown.refactor.code.FieldAccess;
import paredown.refactor.code.Words;
import paredown.refactor.use.OwnerClass;

/**
 * Chooses the names of accessors: one that moves along where there is one, the class's way else.
 */
final class AccessorNames {
  private final OwnerClass owner;
  private final List<OwnerClass.Method> methods;
  private final boolean beans;
  private final Set<String> taken = new HashSet<>();

  AccessorNames(
      OwnerClass owner,
      List<OwnerClass.Field> fields,
      List<OwnerClass.Method> methods,
      Holder holder) {
    this.owner = owner;
    this.methods = methods;
    this.beans = owner.methods().stream().anyMatch(m -> m.name().matches("(get|is)\\p{Lu}.*"));
    methods.forEach(method -> taken.add(method.name()));
    TypeElement object = owner.program().elements().getTypeElement("java.lang.Object");
    ElementFilter.methodsIn(object.getEnclosedElements())
        .forEach(method -> taken.add(method.getSimpleName().toString()));
  }

  FieldAccess accessor(OwnerClass.Field field) {
    for (OwnerClass.Method method : methods) {
      if (returnsJust(method, field)) {
        return FieldAccess.through(method.name(), false);
      }
    }
    String plain = field.name();
    boolean flag = field.element().asType().getKind() == TypeKind.BOOLEAN;
    String bean = (flag ? "is" : "get") + Words.capitalised(plain);
    List<String> candidates =
        beans ? List.of(bean, plain, plain + "Value") : List.of(plain, bean, plain + "Value");
    String name =
        candidates.stream()
            .filter(each -> !taken.contains(each))
            .findFirst()
            .orElse(plain + "OfField");
    taken.add(name);
    return FieldAccess.through(name, true);
  }

  private boolean returnsJust(OwnerClass.Method method, OwnerClass.Field field) {
    if (!method.tree().getParameters().isEmpty() || method.tree().getBody() == null) {
      return false;
    }
    boolean sameType =
        owner
            .program()
            .types()
            .isSameType(method.element().getReturnType(), field.element().asType());
    List<? extends StatementTree> statements = method.tree().getBody().getStatements();
    if (!sameType
        || statements.size() != 1
        || !(statements.get(0) instanceof ReturnTree returned)
        || returned.getExpression() == null) {
      return false;
    }
    TreePath path =
        new TreePath(
            new TreePath(new TreePath(method.path(), method.tree().getBody()), returned),
            returned.getExpression());
    boolean plain =
        returned.getExpression() instanceof IdentifierTree
            || returned.getExpression() instanceof MemberSelectTree;
    return plain && field.element().equals(owner.trees().element(path));
  }
}
