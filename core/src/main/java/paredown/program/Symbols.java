package paredown.program;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.Elements;
import javax.lang.model.util.Types;

/**
 * Names symbols so that they can be compared between two runs of the compiler: by binary name and
 * erased descriptor, and what is declared inside a body by its place, {@code @{file:offset}}.
 */
public final class Symbols {
  /** What is remarked on a type makes it no other type. */
  private static final Pattern ANNOTATION = Pattern.compile("@[\\w.]+(?:\\([^()]*\\))? ?");

  private static final Pattern CAPTURE = Pattern.compile("capture#\\d+ of ");

  private final Elements elements;
  private final Types types;
  private final Aliases aliases;
  private final Map<Element, String> places = new IdentityHashMap<>();
  private final Map<Element, String> keys = new IdentityHashMap<>();

  /**
   * Names of symbols.
   *
   * @param aliases what a type is called here, and what it is to be called in keys
   */
  Symbols(Elements elements, Types types, Aliases aliases) {
    this.elements = elements;
    this.types = types;
    this.aliases = aliases;
  }

  /** The text of a type, as types are compared between two runs of the compiler. */
  public String text(TypeMirror type) {
    String plain = ANNOTATION.matcher(type.toString()).replaceAll("");
    return aliases.inCanonical(CAPTURE.matcher(plain).replaceAll("capture of "));
  }

  /** The text that stands for a place inside a key. */
  public static String place(String file, int offset) {
    return "@{" + file + ":" + offset + "}";
  }

  public static String typeKey(String binaryName) {
    return "type " + binaryName;
  }

  public static String fieldKey(String binaryName, String field) {
    return "field " + binaryName + "#" + field;
  }

  public static String methodKey(String binaryName, String method, List<String> erasedParameters) {
    return "method " + binaryName + "#" + method + "(" + String.join(",", erasedParameters) + ")";
  }

  public static String constructorKey(String binaryName, List<String> erasedParameters) {
    return "constructor " + binaryName + "(" + String.join(",", erasedParameters) + ")";
  }

  /**
   * The key of a type variable.
   *
   * @param generic the key of the type, method or constructor that declares it
   */
  public static String variableKey(String variable, String generic) {
    return "tvar " + variable + " of " + generic;
  }

  void declaredAt(Element element, String file, int offset) {
    places.put(element, place(file, offset));
  }

  /** The name of a symbol; null for a package, and for what has no symbol. */
  public String key(Element element) {
    if (element == null) {
      return null;
    }
    String known = keys.get(element);
    if (known == null) {
      known = make(element);
      keys.put(element, known == null ? "" : known);
    }
    return known == null || known.isEmpty() ? null : known;
  }

  private String make(Element element) {
    return switch (element.getKind()) {
      case PACKAGE, MODULE, OTHER -> null;
      case CLASS, INTERFACE, ENUM, RECORD, ANNOTATION_TYPE ->
          typeKey(binary((TypeElement) element));
      case FIELD, ENUM_CONSTANT -> field((VariableElement) element);
      case METHOD, STATIC_INIT, INSTANCE_INIT ->
          methodKey(
              owner(element),
              element.getSimpleName().toString(),
              erasedParameters((ExecutableElement) element));
      case CONSTRUCTOR ->
          constructorKey(owner(element), erasedParameters((ExecutableElement) element));
      case TYPE_PARAMETER ->
          variableKey(
              element.getSimpleName().toString(),
              key(((TypeParameterElement) element).getGenericElement()));
      default -> local(element);
    };
  }

  private String field(VariableElement element) {
    Element owner = element.getEnclosingElement();
    String name = element.getSimpleName().toString();
    if (owner instanceof TypeElement type) {
      boolean self = name.equals("this") || name.equals("super");
      return self ? name + " of " + binary(type) : fieldKey(binary(type), name);
    }
    return "field ?#" + name;
  }

  private String local(Element element) {
    String place = places.get(element);
    Element owner = element.getEnclosingElement();
    return place != null
        ? "local " + place
        : "local " + element.getSimpleName() + " of " + key(owner);
  }

  private String owner(Element element) {
    return element.getEnclosingElement() instanceof TypeElement type ? binary(type) : "?";
  }

  /** The binary name of a type; for a local or anonymous one, its place. */
  public String binary(TypeElement type) {
    String place = places.get(type);
    if (place != null) {
      return place;
    }
    if (type.getEnclosingElement() instanceof TypeElement outer) {
      return aliases.ofBinary(binary(outer) + "$" + type.getSimpleName());
    }
    return aliases.ofBinary(elements.getBinaryName(type).toString());
  }

  List<String> erasedParameters(ExecutableElement method) {
    return method.getParameters().stream()
        .map(parameter -> aliases.inCanonical(types.erasure(parameter.asType()).toString()))
        .collect(Collectors.toList());
  }

  /** Whether a declared type sits inside a body, so that only its place can name it. */
  static boolean isNamedByPlace(TypeElement type) {
    return switch (type.getNestingKind()) {
      case ANONYMOUS, LOCAL -> true;
      default -> false;
    };
  }

  /** Whether an element is a variable of a body, a parameter among them. */
  public static boolean isLocal(Element element) {
    ElementKind kind = element.getKind();
    return kind == ElementKind.LOCAL_VARIABLE
        || kind == ElementKind.PARAMETER
        || kind == ElementKind.EXCEPTION_PARAMETER
        || kind == ElementKind.RESOURCE_VARIABLE
        || kind == ElementKind.BINDING_VARIABLE;
  }
}
