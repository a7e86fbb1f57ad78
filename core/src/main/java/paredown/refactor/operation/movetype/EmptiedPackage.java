package paredown.refactor.operation.movetype;

import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import paredown.program.DeclaredType;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.project.SourceFile;

/** A package from which its last type goes: nobody can import it any more. */
record EmptiedPackage(DeclaredType type, Sources sources, SourceIndex index) {

  /** Whether it has no other file. */
  boolean isEmptied() {
    return index.filesIn(index.packageOf(type.file())).stream()
        .filter(file -> !file.endsWith("/package-info.java"))
        .allMatch(type.file()::equals);
  }

  /** The files that import all of it; none where it has other types still. */
  Set<String> imported() {
    Set<String> files = new TreeSet<>();
    String name = index.packageOf(type.file());
    if (name.isEmpty() || !isEmptied()) {
      return files;
    }
    String dot = "\\s*\\.\\s*";
    Pattern all =
        Pattern.compile(
            "import\\s+" + Pattern.quote(name).replace(".", "\\E" + dot + "\\Q") + dot + "\\*");
    for (SourceFile file : sources.files()) {
      if (all.matcher(sources.text(file.path()).text()).find()) {
        files.add(file.path());
      }
    }
    return files;
  }
}
