package paredown.program;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.project.Module;
import paredown.project.Project;
import paredown.text.SourceText;
import paredown.text.Token;

/**
 * A module declaration is what a {@code module-info.java} says of the packages of its module.
 *
 * @param path of the file
 * @param open whether all packages are open to reflection
 * @param exported packages that other modules see, to whomever they are exported
 * @param opened packages that are open to reflection
 */
public record ModuleDeclaration(
    String path, boolean open, Set<String> exported, Set<String> opened) {
  private static final String FILE = "module-info.java";

  /** The declaration among the main sources of a module; empty where it has none. */
  public static Optional<ModuleDeclaration> of(Project project, Module module) {
    for (Path root : module.mainRoots()) {
      Path file = root.resolve(FILE);
      if (Files.isRegularFile(file)) {
        try {
          String path = project.relative(file);
          return Optional.of(
              read(SourceText.decode(path, Files.readAllBytes(file), module.encoding())));
        } catch (CharacterCodingException unreadable) {
          return Optional.empty();
        } catch (IOException e) {
          throw new java.io.UncheckedIOException(e);
        }
      }
    }
    return Optional.empty();
  }

  private static ModuleDeclaration read(SourceText source) {
    boolean open = false;
    Set<String> exported = new HashSet<>();
    Set<String> opened = new HashSet<>();
    List<String> statement = new ArrayList<>();
    for (Token token : source.tokens()) {
      String word = source.slice(token.start(), token.end());
      if (token.kind().isComment()) {
        continue;
      }
      if (word.equals("{")) {
        open = statement.contains("open");
        statement.clear();
      } else if (word.equals(";")) {
        directive(statement, exported, opened);
        statement.clear();
      } else {
        statement.add(word);
      }
    }
    return new ModuleDeclaration(source.path(), open, exported, opened);
  }

  private static void directive(List<String> words, Set<String> exported, Set<String> opened) {
    if (words.isEmpty()) {
      return;
    }
    int to = words.indexOf("to");
    String name = String.join("", words.subList(1, to < 0 ? words.size() : to));
    if (words.get(0).equals("exports")) {
      exported.add(name);
    } else if (words.get(0).equals("opens")) {
      opened.add(name);
    }
  }

  public boolean exports(String packageName) {
    return exported.contains(packageName);
  }

  public boolean opens(String packageName) {
    return open || opened.contains(packageName);
  }
}
