package paredown.gate;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.element.TypeElement;
import paredown.edit.Change;
import paredown.program.Program;

/**
 * A method that came up from a class, and that another class below the new place has in its own
 * way. That one overrides it now; nothing runs otherwise as long as only objects of the class that
 * had it are asked.
 */
final class CameUp {
  private final Program after;
  private final Change change;

  /** Whether only those who asked before can ask for a method, as it was found. */
  private final Map<String, Boolean> found = new HashMap<>();

  CameUp(Program after, Change change) {
    this.after = after;
    this.change = change;
  }

  /**
   * Whether nobody can ask for a method through its new place but who asked for it before.
   *
   * @param old the methods that the other class had before, by their keys
   */
  boolean isApart(String method, Map<String, String> old) {
    return sources(method).noneMatch(old::containsKey)
        && found.computeIfAbsent(method, this::isAskedAsBefore);
  }

  private boolean isAskedAsBefore(String method) {
    Set<String> homes = homes(method);
    if (homes.isEmpty()) {
      return false;
    }
    Set<String> seen = new TreeSet<>(Set.of(method));
    Deque<String> open = new ArrayDeque<>(seen);
    while (!open.isEmpty()) {
      Askers askers = new Askers(open.remove(), homes);
      after.units().forEach(unit -> askers.scan(new TreePath(unit.tree()), null));
      if (askers.others) {
        return false;
      }
      askers.cameAlong.stream().filter(seen::add).forEach(open::add);
    }
    return true;
  }

  /** The keys that a method had in the classes that it came from. */
  private Stream<String> sources(String method) {
    String signature = method.substring(method.indexOf('#'));
    return change.became().entrySet().stream()
        .filter(each -> each.getValue().equals(method) && !each.getKey().equals(method))
        .map(Map.Entry::getKey)
        .filter(each -> each.endsWith(signature));
  }

  /** The binary names of these classes. */
  private Set<String> homes(String method) {
    return sources(method).map(CameUp::home).collect(Collectors.toCollection(TreeSet::new));
  }

  private static String home(String method) {
    return method.substring(method.indexOf(' ') + 1, method.indexOf('#'));
  }

  /** The places that ask for a method. */
  private final class Askers extends TreePathScanner<Void, Void> {
    private final String method;
    private final Set<String> homes;
    private final Set<String> cameAlong = new TreeSet<>();
    private boolean others;

    Askers(String method, Set<String> homes) {
      this.method = method;
      this.homes = homes;
    }

    @Override
    public Void visitIdentifier(IdentifierTree tree, Void unused) {
      if (asks()) {
        self();
      }
      return null;
    }

    @Override
    public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
      if (asks()) {
        asked(new TreePath(getCurrentPath(), tree.getExpression()));
      }
      return super.visitMemberSelect(tree, null);
    }

    @Override
    public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
      if (asks()) {
        asked(new TreePath(getCurrentPath(), tree.getQualifierExpression()));
      }
      return super.visitMemberReference(tree, null);
    }

    private boolean asks() {
      var element = after.trees().getElement(getCurrentPath());
      return element != null && method.equals(after.symbols().key(element));
    }

    private void asked(TreePath object) {
      if (object.getLeaf() instanceof IdentifierTree name && name.getName().contentEquals("this")) {
        self();
      } else {
        var type = after.trees().getTypeMirror(object);
        others |=
            type == null
                || !(after.types().asElement(type) instanceof TypeElement element)
                || !isHome(element);
      }
    }

    /** The object of the code around: of a class that had it, or code that came along. */
    private void self() {
      Tree member = null;
      for (TreePath at = getCurrentPath(); at != null; at = at.getParentPath()) {
        if (at.getLeaf() instanceof ClassTree
            && after.trees().getElement(at) instanceof TypeElement type) {
          if (isHome(type)) {
            return;
          }
          if (has(type)) {
            alongWith(new TreePath(at, member));
            return;
          }
        }
        member = at.getLeaf();
      }
      others = true;
    }

    private void alongWith(TreePath member) {
      if (!(member.getLeaf() instanceof MethodTree)) {
        others = true;
        return;
      }
      String key = after.symbols().key(after.trees().getElement(member));
      others |= homes(key).isEmpty();
      cameAlong.add(key);
    }

    private boolean has(TypeElement type) {
      return names(type).anyMatch(home(method)::equals);
    }

    private boolean isHome(TypeElement type) {
      return names(type).anyMatch(homes::contains);
    }

    private Stream<String> names(TypeElement type) {
      return Stream.concat(Stream.of(type), after.supertypes(type).stream())
          .map(each -> after.symbols().binary(each));
    }
  }
}
