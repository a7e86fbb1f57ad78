package paredown.refactor.operation.movedown;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import paredown.refactor.use.OwnerClass;

/**
 * The members that go down, from a class to one below it.
 *
 * @param keys each member, and its key before
 */
record Going(
    OwnerClass parent,
    OwnerClass child,
    List<OwnerClass.Field> fields,
    List<OwnerClass.Method> methods,
    Map<Element, String> keys) {

  /** What they are called. */
  Set<String> names() {
    Set<String> names = new TreeSet<>();
    fields.forEach(each -> names.add(each.name()));
    methods.forEach(each -> names.add(each.name()));
    return names;
  }

  /** The key that a member has below. */
  String below(String key) {
    String kind = key.substring(0, key.indexOf(' ') + 1);
    return kind + child.binaryName() + key.substring(key.lastIndexOf('#'));
  }
}
