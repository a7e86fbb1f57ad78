package paredown.refactor.name;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.Tree;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.util.ElementFilter;
import javax.lang.model.util.Elements;

/**
 * What simple names of types mean in a file: by the classes around, by imports, by the package.
 *
 * <p>The Java Language Specification, section 6.4.1.
 *
 * @param top a type that stands at the top of the file, though it is within another now; mostly
 *     null
 * @param added the types that get imports
 */
record KnownNames(
    Elements elements,
    String packageName,
    List<? extends ImportTree> imports,
    List<? extends Tree> declared,
    TypeElement top,
    Collection<TypeElement> added) {

  /** What a simple name means: one type, or several, or something that is no type. */
  record Known(Set<Element> types) {
    boolean is(TypeElement type) {
      return types.equals(Set.of(type));
    }

    boolean isNothing() {
      return types.isEmpty();
    }
  }

  /** What a name means within a class, which is null for the file itself. */
  Known of(String name, TypeElement scope) {
    Set<Element> found = new HashSet<>();
    for (Element at = scope; at != null && found.isEmpty(); at = around(at)) {
      if (at instanceof TypeElement type) {
        inClass(name, type, found);
      }
    }
    if (found.isEmpty()) {
      imported(name, found);
    }
    if (found.isEmpty()) {
      add(packageName, name, found);
      declared.stream()
          .filter(ClassTree.class::isInstance)
          .map(ClassTree.class::cast)
          .filter(tree -> tree.getSimpleName().contentEquals(name))
          .forEach(tree -> add(packageName, name, found));
    }
    if (found.isEmpty()) {
      onDemand(name, found);
    }
    return new Known(found);
  }

  private Element around(Element element) {
    return element.equals(top) ? null : element.getEnclosingElement();
  }

  private void inClass(String name, TypeElement type, Set<Element> found) {
    if (type.getSimpleName().contentEquals(name)) {
      found.add(type);
    }
    for (TypeParameterElement parameter : type.getTypeParameters()) {
      if (parameter.getSimpleName().contentEquals(name)) {
        found.add(parameter);
      }
    }
    if (found.isEmpty()) {
      for (TypeElement member : ElementFilter.typesIn(elements.getAllMembers(type))) {
        if (member.getSimpleName().contentEquals(name)) {
          found.add(member);
        }
      }
    }
  }

  private void imported(String name, Set<Element> found) {
    for (TypeElement type : added) {
      if (type.getSimpleName().contentEquals(name)) {
        found.add(type);
      }
    }
    for (ImportTree tree : imports) {
      String imported = tree.getQualifiedIdentifier().toString();
      if (imported.endsWith("." + name)) {
        type(imported).ifPresent(found::add);
      }
    }
  }

  private void onDemand(String name, Set<Element> found) {
    add("java.lang", name, found);
    for (ImportTree tree : imports) {
      String imported = tree.getQualifiedIdentifier().toString();
      if (imported.endsWith(".*")) {
        add(imported.substring(0, imported.length() - 2), name, found);
      }
    }
  }

  private void add(String home, String name, Set<Element> found) {
    type(home.isEmpty() ? name : home + "." + name).ifPresent(found::add);
  }

  private Optional<TypeElement> type(String name) {
    return Optional.ofNullable(elements.getTypeElement(name));
  }
}
