package paredown.program;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import paredown.project.Project;
import paredown.project.WrittenFiles;
import paredown.text.SourceText;
import paredown.text.WholeWord;

/** The files of a project that are not Java and could name its classes all the same. */
public final class OtherFiles {
  /** Code of other languages names a class as Java does: by its simple name and an import. */
  private static final Set<String> CODE =
      Set.of("kt", "kts", "groovy", "scala", "clj", "jsp", "jspx", "ftl", "vm");

  private static final Set<String> DATA =
      Set.of("xml", "properties", "yml", "yaml", "json", "html", "xhtml", "tld", "conf", "toml");

  /** What builds and starts programs, by the ending of its name or by all of it. */
  private static final Set<String> SCRIPTS =
      Set.of(
          "gradle",
          "sh",
          "bash",
          "bat",
          "cmd",
          "ps1",
          "cfg",
          "ini",
          "env",
          "service",
          "Dockerfile",
          "Makefile",
          "Procfile",
          "Jenkinsfile");

  private static final String SERVICES = "META-INF/services/";
  private static final long LARGEST = 1 << 20;

  private final List<SourceText> files = new ArrayList<>();

  private OtherFiles(Collection<SourceText> files) {
    this.files.addAll(files);
    this.files.sort(Comparator.comparing(SourceText::path));
  }

  /** Reads the files of a project, up to a megabyte each. */
  static OtherFiles of(Project project) {
    List<SourceText> files = new ArrayList<>();
    WrittenFiles.below(project.root())
        .forEach(
            (file, size) -> {
              String path = project.relative(file);
              boolean listed = path.contains("META-INF/");
              boolean read =
                  isCode(path)
                      || listed
                      || DATA.contains(ending(path))
                      || file.endsWith("module-info.java")
                      || isScript(path) && (SCRIPTS.contains(ending(path)) || isRun(file));
              if (read && size <= LARGEST && Files.isReadable(file)) {
                files.add(text(path, file));
              }
            });
    return new OtherFiles(files);
  }

  /** Whether a file starts programs, which have classes to it, and no members. */
  private static boolean isScript(String path) {
    String ending = ending(path);
    return !path.contains("META-INF/")
        && (SCRIPTS.contains(ending) || ending.equals(path.substring(path.lastIndexOf('/') + 1)));
  }

  /** Whether the first line of a file says what runs it. */
  private static boolean isRun(Path file) {
    try (InputStream stream = Files.newInputStream(file)) {
      return stream.read() == '#' && stream.read() == '!';
    } catch (IOException unreadable) {
      return false;
    }
  }

  private static String ending(String path) {
    return path.substring(path.lastIndexOf('/') + 1).replaceAll(".*\\.", "");
  }

  private static boolean isCode(String path) {
    return CODE.contains(ending(path));
  }

  /** What the name of a list of services says: the type that they do it for. Empty for others. */
  public static String service(String path) {
    int services = path.lastIndexOf(SERVICES);
    String name = services < 0 ? "" : path.substring(services + SERVICES.length());
    return name.contains("/") ? "" : name;
  }

  private static SourceText text(String path, Path file) {
    try {
      byte[] bytes = Files.readAllBytes(file);
      try {
        return SourceText.decode(path, bytes, StandardCharsets.UTF_8);
      } catch (CharacterCodingException e) {
        return SourceText.decode(path, bytes, StandardCharsets.ISO_8859_1);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The same with some texts changed, and some files less. */
  OtherFiles with(Collection<SourceText> changed, Set<String> gone) {
    List<SourceText> all = new ArrayList<>(changed);
    Set<String> paths = new TreeSet<>(gone);
    changed.forEach(text -> paths.add(text.path()));
    files.stream().filter(text -> !paths.contains(text.path())).forEach(all::add);
    return new OtherFiles(all);
  }

  /** Those that are not code of another language, which has imports of its own. */
  public List<SourceText> data() {
    return files.stream().filter(file -> !isCode(file.path())).toList();
  }

  /**
   * The first place, {@code path:line}, that names a member of a type; empty where none does.
   * Scripts name types only.
   *
   * @param type the type's canonical name
   * @param members simple names; that of the type where it is meant itself
   */
  public Optional<String> naming(String type, Collection<String> members) {
    return naming(type, members, false);
  }

  /** The same, in code of another language only. */
  public Optional<String> codeNaming(String type, Collection<String> members) {
    return naming(type, members, true);
  }

  private Optional<String> naming(String type, Collection<String> members, boolean onlyCode) {
    String simple = type.substring(type.lastIndexOf('.') + 1);
    Pattern whole =
        Pattern.compile(
            "(?<![\\w$])" + Pattern.quote(type).replace(".", "\\E[.$/]\\Q") + "(?!\\w)");
    Pattern ending = WholeWord.of(simple);
    for (SourceText file : files) {
      boolean code = isCode(file.path());
      boolean knowsOnlyTypes = isScript(file.path()) && !members.contains(simple);
      if (onlyCode && !code || knowsOnlyTypes) {
        continue;
      }
      // A list of services is named after what its classes do.
      String text = service(file.path()) + "\n" + file.text();
      if ((code ? ending : whole).matcher(text).find()) {
        for (String member : members) {
          Matcher found =
              Pattern.compile("(?<![\\w$])" + Pattern.quote(member) + "(?!\\w)").matcher(text);
          if (found.find()) {
            long line = text.substring(0, found.start()).chars().filter(c -> c == '\n').count();
            return Optional.of(file.path() + ":" + Math.max(1, line));
          }
        }
      }
    }
    return Optional.empty();
  }
}
