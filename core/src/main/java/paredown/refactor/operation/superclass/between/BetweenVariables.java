package paredown.refactor.operation.superclass.between;

import com.sun.source.util.TreePath;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.util.Types;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.name.NewVariables;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.VariablesElsewhere;
import paredown.refactor.name.WritableType;
import paredown.refactor.use.OwnerClass;

/** The type variables of a new class between: those that its members will name, or its parent. */
final class BetweenVariables {
  private final OwnerClass first;
  private final NewVariables needed;

  /**
   * @param first the class whose members it will have
   * @param members names of these
   */
  BetweenVariables(OwnerClass first, List<String> members) {
    this.first = first;
    Set<TypeParameterElement> named = new LinkedHashSet<>();
    named.addAll(WritableType.variables(first.element().getSuperclass()));
    named.addAll(inCode(members));
    this.needed = NewVariables.bounded(named).inOrder(first.element().getTypeParameters());
  }

  /** What the code of members names, and that of the members of their class which they name. */
  private Set<TypeParameterElement> inCode(List<String> members) {
    Deque<TreePath> open = new ArrayDeque<>();
    for (String member : members) {
      first.fields().stream()
          .filter(each -> each.name().equals(member))
          .forEach(each -> open.add(each.path()));
      String name = member.replaceAll("\\(.*", "");
      first.methods().stream()
          .filter(each -> each.name().equals(name))
          .forEach(each -> open.add(each.path()));
    }
    Set<TypeParameterElement> named = new LinkedHashSet<>();
    Set<TreePath> looked = new HashSet<>();
    while (!open.isEmpty()) {
      TreePath code = open.remove();
      if (!looked.add(code)) {
        continue;
      }
      for (Element each : CodeElsewhere.named(first.trees(), code)) {
        if (each instanceof TypeParameterElement variable) {
          named.add(variable);
        } else if (first.element().equals(each.getEnclosingElement())) {
          first.fields().stream()
              .filter(field -> field.element().equals(each))
              .forEach(field -> open.add(field.path()));
          if (each instanceof ExecutableElement called) {
            first.method(called).ifPresent(method -> open.add(method.path()));
          }
        }
      }
    }
    return named;
  }

  /** Whether another class has variables in the same places, with the same bounds. */
  boolean areAlsoOf(OwnerClass other) {
    Types types = first.program().types();
    VariablesElsewhere there = VariablesElsewhere.beside(types, first.element(), other.element());
    List<? extends TypeParameterElement> own = first.element().getTypeParameters();
    List<? extends TypeParameterElement> others = other.element().getTypeParameters();
    return needed.like().stream()
        .mapToInt(own::indexOf)
        .allMatch(
            at -> at < others.size() && isBoundAlike(own.get(at), others.get(at), types, there));
  }

  private static boolean isBoundAlike(
      TypeParameterElement one, TypeParameterElement other, Types types, VariablesElsewhere there) {
    return one.getBounds().size() == other.getBounds().size()
        && IntStream.range(0, one.getBounds().size())
            .allMatch(
                i -> types.isSameType(there.in(one.getBounds().get(i)), other.getBounds().get(i)));
  }

  /** The key of a symbol within the new class, which has the variables of the first then. */
  Function<Element, String> keys(String binary) {
    return needed.keys(first.program().symbols(), Symbols.typeKey(binary));
  }

  /** Declares them behind the name of the new class. */
  void declare(Written.Text text, TypeNames names) {
    needed.declare(text, names, null);
  }

  /** Gives those of a class behind the name of the new one, which it extends. */
  void give(Written.Text text, OwnerClass below) {
    String separator = "<";
    for (TypeParameterElement each : needed.like()) {
      int at = first.element().getTypeParameters().indexOf(each);
      TypeParameterElement own = below.element().getTypeParameters().get(at);
      text.text(separator).name(own.getSimpleName().toString(), below.program().symbols().key(own));
      separator = ", ";
    }
    text.text(needed.like().isEmpty() ? "" : ">");
  }
}
