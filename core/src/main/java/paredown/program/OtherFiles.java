package paredown.program;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import paredown.project.Project;
import paredown.project.WrittenFiles;
import paredown.text.WholeWord;

/** The files of a project that are not Java and could name its classes all the same. */
public final class OtherFiles {
  /** Code of other languages names a class as Java does: by its simple name and an import. */
  private static final Set<String> CODE =
      Set.of("kt", "kts", "groovy", "scala", "clj", "jsp", "jspx", "ftl", "vm");

  private static final Set<String> DATA =
      Set.of("xml", "properties", "yml", "yaml", "json", "html", "xhtml", "tld", "conf", "toml");
  private static final Path SERVICES = Path.of("META-INF", "services");
  private static final long LARGEST = 1 << 20;

  private record Text(String path, String text, boolean code) {}

  private final List<Text> files = new ArrayList<>();

  /** Reads the files of a project, up to a megabyte each. */
  OtherFiles(Project project) {
    WrittenFiles.below(project.root())
        .forEach(
            (file, size) -> {
              String ending = file.getFileName().toString().replaceAll(".*\\.", "");
              boolean code = CODE.contains(ending);
              boolean service = file.getParent().endsWith(SERVICES);
              boolean listed = project.relative(file).contains("META-INF/");
              boolean read = code || listed || DATA.contains(ending) || isModule(file);
              if (service) {
                // It is named after what its classes do.
                String name = file.getFileName().toString();
                files.add(new Text(project.relative(file), name, false));
              }
              if (read && size <= LARGEST && Files.isReadable(file)) {
                files.add(new Text(project.relative(file), text(file), code));
              }
            });
    files.sort(Comparator.comparing(Text::path));
  }

  private static boolean isModule(Path file) {
    return file.endsWith("module-info.java");
  }

  private static String text(Path file) {
    try {
      return new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * The first place, {@code path:line}, that names a member of a type; empty where none does.
   *
   * @param type the type's canonical name
   * @param members simple names
   */
  public Optional<String> naming(String type, Collection<String> members) {
    String simple = type.substring(type.lastIndexOf('.') + 1);
    Pattern whole = WholeWord.matching(Pattern.quote(type).replace(".", "\\E[.$/]\\Q"));
    Pattern ending = WholeWord.of(simple);
    for (Text file : files) {
      boolean named = (file.code() ? ending : whole).matcher(file.text()).find();
      if (named) {
        for (String member : members) {
          Matcher found = WholeWord.of(member).matcher(file.text());
          if (found.find()) {
            long line =
                file.text().substring(0, found.start()).chars().filter(c -> c == '\n').count();
            return Optional.of(file.path() + ":" + (line + 1));
          }
        }
      }
    }
    return Optional.empty();
  }
}
