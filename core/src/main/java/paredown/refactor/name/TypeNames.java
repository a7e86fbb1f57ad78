package paredown.refactor.name;

import com.sun.source.tree.ImportTree;
import com.sun.source.tree.Tree;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.function.Function;
import javax.lang.model.element.Element;
import javax.lang.model.element.PackageElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.type.TypeVariable;
import javax.lang.model.type.WildcardType;
import javax.lang.model.util.Elements;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;

/**
 * The type names of a file: how a type is written there, by a name that the file knows, by a new
 * import, or in full where its simple name means something else already.
 */
public final class TypeNames {
  private final UnitTrees trees;
  private final String packageName;
  private final List<? extends ImportTree> imports;
  private final List<? extends Tree> declared;
  private final Elements elements;
  private final Function<Element, String> keys;
  private final TypeElement top;
  private final TreeMap<String, TypeElement> added;

  /**
   * @param keys the keys of the symbols that are written, as they are after the change
   */
  public TypeNames(UnitTrees trees, Function<Element, String> keys) {
    this(
        trees,
        trees.packageName(),
        trees.unit().tree().getImports(),
        trees.unit().tree().getTypeDecls(),
        keys,
        null,
        new TreeMap<>());
  }

  private TypeNames(
      UnitTrees trees,
      String packageName,
      List<? extends ImportTree> imports,
      List<? extends Tree> declared,
      Function<Element, String> keys,
      TypeElement top,
      TreeMap<String, TypeElement> added) {
    this.trees = trees;
    this.packageName = packageName;
    this.imports = imports;
    this.declared = declared;
    this.elements = trees.program().elements();
    this.keys = keys;
    this.top = top;
    this.added = added;
  }

  /** The names of a new file in a package, which has no imports but those that they need. */
  public static TypeNames ofNewFile(UnitTrees neighbour, String packageName) {
    return ofNewFile(neighbour, packageName, null);
  }

  /** The same where a type stands in it at the top that is within another now. */
  public static TypeNames ofNewFile(UnitTrees neighbour, String packageName, TypeElement top) {
    return new TypeNames(
        neighbour,
        packageName,
        List.of(),
        List.of(),
        neighbour.program().symbols()::key,
        top,
        new TreeMap<>());
  }

  /** The same, with the same imports, where what is written has other keys. */
  public TypeNames meaning(Function<Element, String> others) {
    return new TypeNames(trees, packageName, imports, declared, others, top, added);
  }

  private KnownNames.Known known(String name, TypeElement scope) {
    return new KnownNames(elements, packageName, imports, declared, top, added.values())
        .of(name, scope);
  }

  /** Whether a simple name means something else than a type within a class of this file. */
  public boolean isOther(String name, TypeElement type, TypeElement scope) {
    KnownNames.Known known = known(name, scope);
    return !known.isNothing() && !known.is(type);
  }

  /**
   * The name by which a type can be written within a class of this file. May add an import.
   *
   * @param scope the class; null for the file itself
   */
  public String of(TypeElement type, TypeElement scope) {
    String name = type.getSimpleName().toString();
    KnownNames.Known known = known(name, scope);
    if (known.is(type)) {
      return name;
    }
    if (type.getEnclosingElement() instanceof TypeElement outer && !outer.equals(type)) {
      return of(outer, scope) + "." + name;
    }
    PackageElement home = elements.getPackageOf(type);
    if (known.isNothing() && !home.isUnnamed()) {
      added.put(type.getQualifiedName().toString(), type);
      return name;
    }
    if (home.isUnnamed()) {
      throw Refused.because(RefusalKind.NAME_HIDDEN, name, trees.path());
    }
    return type.getQualifiedName().toString();
  }

  /** The name by which a type can be written without another import. */
  public String knownOrFull(TypeElement type, TypeElement scope) {
    String simple = type.getSimpleName().toString();
    if (known(simple, scope).is(type)) {
      return simple;
    }
    return type.getEnclosingElement() instanceof TypeElement outer
        ? knownOrFull(outer, scope) + "." + simple
        : type.getQualifiedName().toString();
  }

  /** Writes the name of a type. */
  public void write(Written.Text text, TypeElement type, TypeElement scope) {
    write(text, type, scope, null);
  }

  /** Writes the name of a type in the place of another name of it. */
  public void write(Written.Text text, TypeElement type, TypeElement scope, Use.Place standsFor) {
    spell(text, type, of(type, scope), keys, standsFor);
  }

  /**
   * Spells a type's name so that each part of it is meant for its type.
   *
   * @param written the name, as far as it is written
   * @param standsFor the old use that it takes the place of; null where it is new
   */
  public static void spell(
      Written.Text text,
      TypeElement type,
      String written,
      Function<Element, String> keys,
      Use.Place standsFor) {
    int dot = written.lastIndexOf('.');
    if (dot >= 0) {
      String before = written.substring(0, dot);
      if (type.getEnclosingElement() instanceof TypeElement outer) {
        spell(text, outer, before, keys, null);
      } else {
        text.text(before);
      }
      text.text(".");
    }
    text.name(type.getSimpleName().toString(), keys.apply(type), standsFor);
  }

  /** Writes a type with its arguments. */
  public void write(Written.Text text, TypeMirror type, TypeElement scope) {
    switch (type.getKind()) {
      case ARRAY -> {
        write(text, ((ArrayType) type).getComponentType(), scope);
        text.text("[]");
      }
      case TYPEVAR -> {
        Element variable = ((TypeVariable) type).asElement();
        text.name(variable.getSimpleName().toString(), keys.apply(variable));
      }
      case WILDCARD -> {
        WildcardType wildcard = (WildcardType) type;
        text.text("?");
        if (wildcard.getExtendsBound() != null) {
          write(text.text(" extends "), wildcard.getExtendsBound(), scope);
        } else if (wildcard.getSuperBound() != null) {
          write(text.text(" super "), wildcard.getSuperBound(), scope);
        }
      }
      case DECLARED -> {
        var declared = (DeclaredType) type;
        write(text, (TypeElement) declared.asElement(), scope);
        String separator = "<";
        for (TypeMirror argument : declared.getTypeArguments()) {
          write(text.text(separator), argument, scope);
          separator = ", ";
        }
        text.text(separator.equals("<") ? "" : ">");
      }
      default -> {
        if (!type.getKind().isPrimitive()) {
          throw new IllegalArgumentException("no type to write: " + type);
        }
        text.text(type.getKind().name().toLowerCase());
      }
    }
  }

  /** The imports that the written names need, each in its place among those of the file. */
  public List<Replacement> imports() {
    List<Replacement> found = new ArrayList<>();
    added.forEach(
        (name, type) -> {
          NewImport added = new NewImport(name, text -> spell(text, type, name, keys, null));
          boolean last = found.size() == this.added.size() - 1;
          found.add(added.in(trees, found.isEmpty(), last));
        });
    return found;
  }

  /** The same for a new file, a line each. */
  public Written newImports(String lineEnd) {
    Written.Text text = Written.text("");
    added.forEach(
        (name, type) -> {
          spell(text.text("import "), type, name, keys, null);
          text.text(";" + lineEnd);
        });
    return text.text(added.isEmpty() ? "" : lineEnd).done();
  }
}
