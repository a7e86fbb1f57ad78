package paredown.gate.reach;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import paredown.project.Project;
import paredown.project.Workspace;

/**
 * Reach is what the tests of a project ran when they were last recorded: which classes of tests
 * reach which methods.
 *
 * @param files the product's files by their paths
 */
public record Reach(Map<String, ReachedFile> files) {
  private static final String NAME = "reach";

  /**
   * A method, or a constructor under the name of its class.
   *
   * @param name {@code Sailing#take(int)}
   * @param first the line of its first code, counted from 1
   * @param last the line of its last code
   * @param tests the simple names of the classes of tests that reach it; empty where none does
   */
  public record Reached(String name, int first, int last, Set<String> tests) {
    public Reached {
      tests = new TreeSet<>(tests);
    }
  }

  /**
   * A file as it was then.
   *
   * @param content a hash of its text
   */
  public record ReachedFile(long content, List<Reached> methods) {
    public ReachedFile {
      methods = List.copyOf(methods);
    }
  }

  public Reach {
    files = new TreeMap<>(files);
  }

  /** What was last recorded of a project; empty where nothing was. */
  public static Optional<Reach> read(Project project) {
    return new Workspace(project.root())
        .cached(NAME)
        .map(bytes -> parse(new String(bytes, StandardCharsets.UTF_8)));
  }

  /** Keeps it for the previews to come. */
  public void write(Project project) {
    StringBuilder text = new StringBuilder();
    files.forEach(
        (file, reached) -> {
          text.append("F\t%s\t%d%n".formatted(file, reached.content()));
          for (Reached method : reached.methods()) {
            text.append(
                "M\t%s\t%d\t%d\t%s%n"
                    .formatted(
                        method.name(),
                        method.first(),
                        method.last(),
                        String.join(",", method.tests())));
          }
        });
    new Workspace(project.root()).cache(NAME, text.toString().getBytes(StandardCharsets.UTF_8));
  }

  private static Reach parse(String text) {
    Map<String, List<Reached>> all = new TreeMap<>();
    Map<String, Long> contents = new TreeMap<>();
    List<Reached> methods = new ArrayList<>();
    for (String line : text.lines().toList()) {
      String[] parts = line.split("\t", -1);
      if (parts[0].equals("F")) {
        methods = new ArrayList<>();
        all.put(parts[1], methods);
        contents.put(parts[1], Long.parseLong(parts[2]));
      } else {
        Reached method =
            new Reached(
                parts[1],
                Integer.parseInt(parts[2]),
                Integer.parseInt(parts[3]),
                Set.of(parts[4].split(",")).stream()
                    .filter(each -> !each.isEmpty())
                    .collect(Collectors.toSet()));
        methods.add(method);
      }
    }
    Map<String, ReachedFile> files = new TreeMap<>();
    all.forEach((file, found) -> files.put(file, new ReachedFile(contents.get(file), found)));
    return new Reach(files);
  }

  /** The methods of all files. */
  public List<Reached> methods() {
    return files.values().stream().flatMap(file -> file.methods().stream()).toList();
  }
}
