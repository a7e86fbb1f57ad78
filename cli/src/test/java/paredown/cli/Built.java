package paredown.cli;

import java.io.File;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.jar.JarEntry;
import java.util.jar.JarOutputStream;
import java.util.stream.Stream;

/** The built program as tests start it: from jars, with the archive of classes of the launcher. */
final class Built {
  private static final Path FOLDER = Path.of("target", "started").toAbsolutePath();

  /** The words that start it; its arguments follow. */
  static final List<String> START = start();

  private Built() {}

  private static List<String> start() {
    try {
      Files.createDirectories(FOLDER);
      List<String> java =
          List.of(
              Path.of(System.getProperty("java.home"), "bin", "java").toString(),
              "-XX:TieredStopAtLevel=1",
              "-XX:+UseSerialGC",
              "-XX:-UsePerfData",
              "-Xshare:auto",
              "-cp",
              classPath());
      String archive = archive(java);
      return with(java, "-XX:SharedArchiveFile=" + archive, "-Xlog:disable", "paredown.cli.Pare");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The class path of the tests without the tests, folders as jars: only these are archived. */
  private static String classPath() throws IOException {
    List<String> entries = new ArrayList<>();
    for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
      Path path = Path.of(entry).toAbsolutePath();
      if (path.endsWith("test-classes")) {
        continue;
      }
      entries.add((Files.isDirectory(path) ? jar(path, entries.size()) : path).toString());
    }
    return String.join(File.pathSeparator, entries);
  }

  private static Path jar(Path folder, int number) throws IOException {
    Path jar = FOLDER.resolve("classes" + number + ".jar");
    try (OutputStream out = Files.newOutputStream(jar);
        JarOutputStream entries = new JarOutputStream(out);
        Stream<Path> files = Files.walk(folder)) {
      for (Path file : files.skip(1).toList()) {
        boolean holds = Files.isDirectory(file);
        String name = folder.relativize(file).toString().replace('\\', '/');
        entries.putNextEntry(new JarEntry(name + (holds ? "/" : "")));
        if (!holds) {
          Files.copy(file, entries);
        }
        entries.closeEntry();
      }
    }
    return jar;
  }

  private static String archive(List<String> java) throws IOException {
    Path list = FOLDER.resolve("classes.list");
    String archive = FOLDER.resolve("classes.jsa").toString();
    Files.deleteIfExists(Path.of(archive));
    String project = sample().toString();
    String said = run(with(java, "paredown.cli.Pare", "survey", "--project", project));
    String worst = said.replaceAll("(?s).*Next: pare why (\\S+).*", "$1");
    String loaded = "-XX:DumpLoadedClassList=" + list;
    run(with(java, loaded, "paredown.cli.Pare", "why", worst, "--project", project));
    // JDK 17 breaks down on lambdas of signed libraries.
    Files.write(
        list,
        Files.readAllLines(list).stream()
            .filter(line -> !line.startsWith("@lambda-proxy org/eclipse/"))
            .toList());
    run(
        with(
            java.stream().filter(word -> !word.startsWith("-Xshare")).toList(),
            "-Xshare:dump",
            "-XX:SharedClassListFile=" + list,
            "-XX:SharedArchiveFile=" + archive));
    return archive;
  }

  /** A copy of the sample project, in which a survey may keep what it likes. */
  private static Path sample() throws IOException {
    Path copy = FOLDER.resolve("demo");
    layOutSample(copy);
    return copy;
  }

  /** Puts the files of the sample project into a folder. */
  static void layOutSample(Path copy) throws IOException {
    Path demo = Path.of("target/classes/paredown/cli/demo").toAbsolutePath();
    try (Stream<Path> files = Files.walk(demo)) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        Path to = copy.resolve(demo.relativize(file).toString());
        Files.createDirectories(to.getParent());
        Files.copy(file, to, StandardCopyOption.REPLACE_EXISTING);
      }
    }
  }

  private static List<String> with(List<String> words, String... more) {
    return Stream.concat(words.stream(), Stream.of(more)).toList();
  }

  /** What a process prints. */
  private static String run(List<String> words) throws IOException {
    Path log = FOLDER.resolve("archive.log");
    Process process =
        new ProcessBuilder(words)
            .directory(FOLDER.toFile())
            .redirectOutput(log.toFile())
            .redirectErrorStream(true)
            .start();
    try {
      process.waitFor();
      return Files.readString(log);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}
