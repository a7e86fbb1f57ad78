package paredown.refactor.operation.changetype;

import com.sun.source.tree.ImportTree;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Parameterizable;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.UnusableRequest;
import paredown.program.Program;
import paredown.refactor.code.UnitTrees;

/**
 * A type as somebody types it for a place in the sources: by a name that the file knows, by the
 * whole name, or by the simple name of what stands above the type that is there.
 */
final class TypedType {
  private final Program program;
  private final UnitTrees trees;
  private final Element place;
  private final TypeMirror old;

  /**
   * What is typed for a place that has a type already.
   *
   * @param place the field or method
   */
  TypedType(UnitTrees trees, Element place, TypeMirror old) {
    this.program = trees.program();
    this.trees = trees;
    this.place = place;
    this.old = old;
  }

  /**
   * The type that is meant.
   *
   * @throws UnusableRequest where it is none
   */
  TypeMirror of(String typed) {
    String text = typed.strip();
    if (text.endsWith("[]")) {
      return program.types().getArrayType(of(text.substring(0, text.length() - 2)));
    }
    for (TypeKind kind : TypeKind.values()) {
      if (kind.isPrimitive() && kind.name().toLowerCase().equals(text)) {
        return program.types().getPrimitiveType(kind);
      }
    }
    for (Element at = place; at instanceof Parameterizable around; at = at.getEnclosingElement()) {
      for (TypeParameterElement each : around.getTypeParameters()) {
        if (each.getSimpleName().contentEquals(text)) {
          return each.asType();
        }
      }
    }
    int open = text.indexOf('<');
    String name = open < 0 ? text : text.substring(0, open);
    TypeElement element = element(name.strip()).orElseThrow(() -> unknown(typed));
    if (open >= 0) {
      if (!text.endsWith(">")) {
        throw unknown(typed);
      }
      return declared(typed, element, parted(text.substring(open + 1, text.length() - 1)));
    }
    return above(old, element).orElseGet(() -> declared(typed, element, List.of()));
  }

  private TypeMirror declared(String typed, TypeElement element, List<String> arguments) {
    if (!arguments.isEmpty() && arguments.size() != element.getTypeParameters().size()) {
      throw unknown(typed);
    }
    TypeMirror[] types = arguments.stream().map(this::argument).toArray(TypeMirror[]::new);
    return program.types().getDeclaredType(element, types);
  }

  private TypeMirror argument(String typed) {
    String text = typed.strip();
    if (!text.startsWith("?")) {
      return of(text);
    }
    String bound = text.substring(1).strip();
    return program
        .types()
        .getWildcardType(
            bound.startsWith("extends ") ? of(bound.substring(8)) : null,
            bound.startsWith("super ") ? of(bound.substring(6)) : null);
  }

  /** The parts between the commas that stand within no other brackets. */
  private static List<String> parted(String text) {
    List<String> parts = new ArrayList<>();
    int depth = 0;
    int from = 0;
    for (int i = 0; i < text.length(); i++) {
      char here = text.charAt(i);
      depth += here == '<' ? 1 : here == '>' ? -1 : 0;
      if (here == ',' && depth == 0) {
        parts.add(text.substring(from, i));
        from = i + 1;
      }
    }
    parts.add(text.substring(from));
    return parts;
  }

  /** The type as the one that is there has it above itself, with its arguments. */
  private Optional<TypeMirror> above(TypeMirror type, TypeElement wanted) {
    if (type instanceof DeclaredType declared && declared.asElement().equals(wanted)) {
      return Optional.of(type);
    }
    return type.getKind() != TypeKind.DECLARED
        ? Optional.empty()
        : program.types().directSupertypes(type).stream()
            .flatMap(each -> above(each, wanted).stream())
            .findFirst();
  }

  private Optional<TypeElement> element(String name) {
    Set<String> whole = new LinkedHashSet<>(List.of(name));
    for (ImportTree each : trees.unit().tree().getImports()) {
      String imported = each.getQualifiedIdentifier().toString();
      if (imported.endsWith("." + name)) {
        whole.add(imported);
      } else if (imported.endsWith(".*")) {
        whole.add(imported.substring(0, imported.length() - 1) + name);
      }
    }
    whole.add(trees.packageName().isEmpty() ? name : trees.packageName() + "." + name);
    whole.add("java.lang." + name);
    for (String each : whole) {
      TypeElement found = program.elements().getTypeElement(each);
      if (found != null) {
        return Optional.of(found);
      }
    }
    return aboveBySimpleName(old, name).or(() -> ofProject(name));
  }

  private Optional<TypeElement> aboveBySimpleName(TypeMirror type, String name) {
    if (!(type instanceof DeclaredType declared)) {
      return Optional.empty();
    }
    return declared.asElement().getSimpleName().contentEquals(name)
        ? Optional.of((TypeElement) declared.asElement())
        : program.types().directSupertypes(type).stream()
            .flatMap(each -> aboveBySimpleName(each, name).stream())
            .findFirst();
  }

  /** The one type of the project that answers to a name. */
  private Optional<TypeElement> ofProject(String name) {
    try {
      String whole = program.sources().index().type(name).name();
      return Optional.ofNullable(program.elements().getTypeElement(whole));
    } catch (UnusableRequest none) {
      return Optional.empty();
    }
  }

  private static UnusableRequest unknown(String typed) {
    return new UnusableRequest(
        "No type %s is known there.".formatted(typed),
        "Say its whole name, java.util.List for example.");
  }
}
