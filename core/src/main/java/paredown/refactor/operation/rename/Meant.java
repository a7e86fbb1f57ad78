package paredown.refactor.operation.rename;

import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeParameterTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import paredown.UnusableRequest;
import paredown.project.Nearest;
import paredown.refactor.use.NamedVariable;
import paredown.refactor.use.OwnerClass;

/** What a rename is asked for, found by the words of its command. */
final class Meant {
  private Meant() {}

  /** The declaration of the field, constant, method, variable or type variable that is meant. */
  static TreePath of(OwnerClass owner, Rename arguments) {
    String word = arguments.old();
    if (arguments.isOfMethod()) {
      OwnerClass.Method method = NamedVariable.body(owner, arguments.member());
      return typeVariable(method.path(), method.tree().getTypeParameters(), word)
          .orElseGet(() -> NamedVariable.of(owner, method, word));
    }
    return field(owner, word, arguments)
        .or(() -> typeVariable(owner.path(), owner.tree().getTypeParameters(), arguments.member()))
        .orElseGet(
            () -> {
              requireMember(owner, arguments.member());
              return NamedVariable.method(owner, arguments.member()).path();
            });
  }

  /** A field or a constant of an enum. */
  private static Optional<TreePath> field(OwnerClass owner, String word, Rename arguments) {
    return owner.tree().getMembers().stream()
        .filter(member -> member instanceof VariableTree && word.equals(arguments.member()))
        .filter(member -> ((VariableTree) member).getName().contentEquals(word))
        .map(member -> new TreePath(owner.path(), member))
        .findFirst();
  }

  private static Optional<TreePath> typeVariable(
      TreePath generic, List<? extends TypeParameterTree> all, String word) {
    return all.stream()
        .filter(each -> each.getName().contentEquals(word))
        .map(each -> new TreePath(generic, (Tree) each))
        .findFirst();
  }

  /** A word without brackets may be meant for a field as well as for a method. */
  private static void requireMember(OwnerClass owner, String member) {
    List<String> known =
        Stream.of(
                owner.tree().getMembers().stream()
                    .filter(VariableTree.class::isInstance)
                    .map(each -> ((VariableTree) each).getName().toString()),
                owner.methods().stream().map(OwnerClass.Method::name),
                owner.tree().getTypeParameters().stream().map(each -> each.getName().toString()))
            .flatMap(names -> names)
            .distinct()
            .collect(Collectors.toList());
    if (!member.contains("(") && !known.contains(member)) {
      throw new UnusableRequest(
          owner.writtenName() + " has no field and no method " + member + ".",
          Nearest.advice(member, known, "pare rename --help shows how members are named."));
    }
  }
}
