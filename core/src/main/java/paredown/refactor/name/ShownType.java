package paredown.refactor.name;

import javax.lang.model.type.TypeMirror;
import paredown.text.Article;

/** Types as a person says them, by their simple names. */
public final class ShownType {
  private ShownType() {}

  /** A type by its simple names. */
  public static String of(TypeMirror type) {
    return type.toString().replaceAll("\\b(?:[a-z_][\\w]*\\.)+(?=\\w)", "");
  }

  /** A type with its article: {@code an int}. */
  public static String one(TypeMirror type) {
    return Article.with(of(type));
  }
}
