package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreeScanner;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;

/** The names that the variables of a method get where one call of it stands. */
final class SiteNames {
  private final BodyNames body;
  private final Set<String> variables = new HashSet<>();
  private final Set<String> words = new HashSet<>();
  private final Map<Element, String> renamed = new HashMap<>();
  private final Map<Value, String> held = new HashMap<>();
  private final Set<String> known;
  private final Set<String> made = new HashSet<>();

  /**
   * Names for a site.
   *
   * @param taken the names that other sites have given to variables around the call
   */
  SiteNames(BodyNames body, Call call, Given given, Set<String> taken) {
    this.body = body;
    gather(call);
    this.known = new HashSet<>(taken);
    known.addAll(words);
    choose(given, known);
  }

  private void gather(Call call) {
    new TreeScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        words.add(tree.getName().toString());
        return null;
      }

      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        words.add(tree.getName().toString());
        variables.add(tree.getName().toString());
        return super.visitVariable(tree, null);
      }
    }.scan(call.member().getLeaf(), null);
  }

  private void choose(Given given, Set<String> taken) {
    for (Element each : body.declared().keySet()) {
      String name = each.getSimpleName().toString();
      if (!taken.add(name)) {
        renamed.put(each, free(name, taken));
      }
    }
    for (Value each : given.all()) {
      if (each.needsVariable()) {
        boolean known = each == given.object() && body.words().contains(each.name());
        boolean free = !known && taken.add(each.name());
        held.put(each, free ? each.name() : free(each.name(), taken));
      }
    }
  }

  /** A name for one more variable, which nothing around knows. */
  String fresh(String wanted) {
    boolean free = !body.words().contains(wanted) && known.add(wanted);
    String name = free ? wanted : free(wanted, known);
    made.add(name);
    return name;
  }

  /** A name with a number that nothing around knows. */
  private String free(String name, Set<String> taken) {
    int i = 2;
    while (taken.contains(name + i) || body.words().contains(name + i)) {
      i++;
    }
    taken.add(name + i);
    return name + i;
  }

  /** Whether the caller declares a variable of a name. */
  boolean isOfCaller(String name) {
    return variables.contains(name);
  }

  /** The name of the variable that holds a value. */
  String of(Value value) {
    return held.get(value);
  }

  boolean isRenamed(Element variable) {
    return renamed.containsKey(variable);
  }

  /** The new name of a variable of the method. */
  String of(Element variable) {
    return renamed.get(variable);
  }

  /** The names that are known behind the code as well. */
  Set<String> left() {
    Set<String> left = new HashSet<>(held.values());
    left.addAll(made);
    body.declared()
        .forEach(
            (each, path) -> {
              if (path.getParentPath().getLeaf() == body.body()) {
                left.add(renamed.getOrDefault(each, each.getSimpleName().toString()));
              }
            });
    return left;
  }
}
