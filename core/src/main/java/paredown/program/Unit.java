package paredown.program;

import com.sun.source.tree.CompilationUnitTree;
import paredown.text.SourceText;

/** A unit is one attributed source file: its text and its tree. */
public record Unit(SourceText source, CompilationUnitTree tree) {

  public String path() {
    return source.path();
  }
}
