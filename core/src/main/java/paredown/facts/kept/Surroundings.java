package paredown.facts.kept;

import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import paredown.program.Sources;
import paredown.project.Fingerprint;
import paredown.project.Module;
import paredown.project.SourceFile;

/**
 * What facts depend on besides the files that are read: this program itself, the JDK, the build's
 * class path and what it generates, and which files there are.
 */
final class Surroundings {
  private final Fingerprint all = new Fingerprint();

  private Surroundings() {}

  /** A fingerprint of them; equal only where facts are worth keeping. */
  static String of(Sources sources, List<String> files) {
    Surroundings surroundings = new Surroundings();
    surroundings.add(sources, files);
    return surroundings.all.hex(64);
  }

  private void add(Sources sources, List<String> files) {
    all.add(System.getProperty("java.home")).add(Runtime.version().toString());
    Set<Path> archives = new LinkedHashSet<>(List.of(ownCode()));
    for (Module module : sources.project().modules()) {
      all.add(module.toString());
      archives.addAll(module.classPath());
    }
    archives.forEach(this::below);
    files.forEach(all::add);
    sources.paths(SourceFile.Kind.GENERATED).stream()
        .filter(file -> !files.contains(file))
        .forEach(file -> all.add(file).add(sources.text(file).text()));
  }

  private static Path ownCode() {
    try {
      return Path.of(
          Surroundings.class.getProtectionDomain().getCodeSource().getLocation().toURI());
    } catch (URISyntaxException e) {
      throw new IllegalStateException("A place of classes is a URI.", e);
    }
  }

  /** Adds the names, sizes and times of an archive, or of all that is in a folder of classes. */
  private void below(Path place) {
    all.add(place.toString());
    try (Stream<Path> found = Files.walk(place)) {
      for (Path each : (Iterable<Path>) found.sorted()::iterator) {
        if (Files.isRegularFile(each)) {
          all.add(each.toString())
              .add(String.valueOf(Files.size(each)))
              .add(Files.getLastModifiedTime(each).toString());
        }
      }
    } catch (IOException missing) {
      all.add("");
    }
  }
}
