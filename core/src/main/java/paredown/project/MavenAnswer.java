package paredown.project;

import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;

/**
 * What Maven answered when it was asked about a build.
 *
 * @param effectivePom the effective model of every module, one XML document
 * @param output what Maven printed, the class path of every module among it
 */
record MavenAnswer(String effectivePom, String output) {
  private static final Pattern GOAL =
      Pattern.compile("^\\[INFO\\] --- .*:build-classpath .*@ (\\S+) ---$");

  /** Whether the archives on every class path are still where they were. */
  boolean archivesExist() {
    return classPaths().values().stream()
        .flatMap(Deque::stream)
        .flatMap(List::stream)
        .allMatch(Files::exists);
  }

  /** The modules that have sources of their own, in the order of the build. */
  List<Module> modules(Path root) {
    Map<String, Deque<List<Path>>> classPaths = classPaths();
    List<Module> modules = new ArrayList<>();
    for (Element model : models()) {
      if (!"pom".equals(text(model, "packaging").orElse("jar"))) {
        modules.add(module(model, classPaths));
      }
    }
    if (modules.isEmpty()) {
      throw new ProjectUnreadable(
          "The build in " + root.getFileName() + " has no module with Java sources.",
          "Name a folder that has one with --project.");
    }
    return modules;
  }

  private static Module module(Element model, Map<String, Deque<List<Path>>> classPaths) {
    String name = text(model, "artifactId").orElse("module");
    Element build = child(model, "build").orElseThrow();
    Path main = Path.of(text(build, "sourceDirectory").orElseThrow());
    Path test = Path.of(text(build, "testSourceDirectory").orElseThrow());
    Path output = Path.of(text(build, "directory").orElseThrow());
    Path directory = output.getParent();
    List<Path> mains = new ArrayList<>(List.of(main));
    List<Path> tests = new ArrayList<>(List.of(test));
    addedRoots(build, directory, mains, tests);
    List<Path> classPath =
        classPaths.getOrDefault(name, new ArrayDeque<>(List.of(List.of()))).poll();
    return new Module(
        name,
        directory,
        mains.stream().filter(Files::isDirectory).toList(),
        tests.stream().filter(Files::isDirectory).toList(),
        generated(output),
        classPath == null ? List.of() : classPath,
        release(model, build),
        encoding(model, build));
  }

  private static void addedRoots(
      Element build, Path directory, List<Path> mains, List<Path> tests) {
    plugin(build, "build-helper-maven-plugin").stream()
        .flatMap(plugin -> descendants(plugin, "execution"))
        .forEach(
            execution -> {
              boolean test = descendants(execution, "goal").anyMatch(g -> is(g, "add-test-source"));
              descendants(execution, "source")
                  .map(source -> directory.resolve(source.getTextContent().strip()))
                  .forEach(test ? tests::add : mains::add);
            });
  }

  private static boolean is(Element element, String content) {
    return element.getTextContent().strip().equals(content);
  }

  private static List<Path> generated(Path output) {
    List<Path> roots = new ArrayList<>();
    for (String kind : List.of("generated-sources", "generated-test-sources")) {
      try (Stream<Path> folders = Files.list(output.resolve(kind))) {
        folders.filter(Files::isDirectory).sorted().forEach(roots::add);
      } catch (IOException notBuilt) {
        // A module that was never built has none.
      }
    }
    return roots;
  }

  private static int release(Element model, Element build) {
    return Stream.of("release", "source")
        .flatMap(
            key ->
                Stream.concat(
                    compilerSetting(build, key).stream(),
                    property(model, "maven.compiler." + key).stream()))
        .map(MavenAnswer::number)
        .filter(number -> number > 0)
        .findFirst()
        .orElse(0);
  }

  private static int number(String release) {
    String digits = release.startsWith("1.") ? release.substring(2) : release;
    return digits.matches("\\d{1,3}") ? Integer.parseInt(digits) : 0;
  }

  private static Charset encoding(Element model, Element build) {
    return compilerSetting(build, "encoding")
        .or(() -> property(model, "project.build.sourceEncoding"))
        .filter(Charset::isSupported)
        .map(Charset::forName)
        .orElse(StandardCharsets.UTF_8);
  }

  private static Optional<String> compilerSetting(Element build, String key) {
    return plugin(build, "maven-compiler-plugin")
        .flatMap(plugin -> child(plugin, "configuration"))
        .flatMap(configuration -> text(configuration, key));
  }

  private static Optional<Element> plugin(Element build, String name) {
    return child(build, "plugins").stream()
        .flatMap(plugins -> children(plugins, "plugin"))
        .filter(plugin -> text(plugin, "artifactId").orElse("").equals(name))
        .findFirst();
  }

  private static Optional<String> property(Element model, String key) {
    return child(model, "properties").flatMap(properties -> text(properties, key));
  }

  private Map<String, Deque<List<Path>>> classPaths() {
    Map<String, Deque<List<Path>>> found = new HashMap<>();
    String module = null;
    boolean next = false;
    for (String line : output.lines().toList()) {
      Matcher goal = GOAL.matcher(line);
      if (goal.matches()) {
        module = goal.group(1);
      } else if (line.endsWith("Dependencies classpath:")) {
        next = true;
      } else if (next && module != null) {
        found.computeIfAbsent(module, key -> new ArrayDeque<>()).add(paths(line));
        next = false;
      }
    }
    return found;
  }

  private static List<Path> paths(String line) {
    String separated = line.startsWith("[INFO]") ? line.substring(6) : line;
    return Arrays.stream(separated.strip().split(java.io.File.pathSeparator))
        .filter(entry -> !entry.isBlank())
        .map(Path::of)
        .toList();
  }

  private List<Element> models() {
    try {
      DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
      // Maven's own answer has no such declaration; without them no entity can name a file.
      factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
      Document document =
          factory.newDocumentBuilder().parse(new InputSource(new StringReader(effectivePom)));
      Element top = document.getDocumentElement();
      return top.getTagName().equals("projects") ? children(top, "project").toList() : List.of(top);
    } catch (ParserConfigurationException | SAXException | IOException e) {
      throw new ProjectUnreadable(
          "Maven's effective model cannot be read: " + e.getMessage() + ".",
          "Check that mvn help:effective-pom runs here.",
          e);
    }
  }

  private static Optional<String> text(Element parent, String name) {
    return child(parent, name).map(Element::getTextContent).map(String::strip);
  }

  private static Optional<Element> child(Element parent, String name) {
    return children(parent, name).findFirst();
  }

  private static Stream<Element> children(Element parent, String name) {
    List<Element> found = new ArrayList<>();
    for (Node node = parent.getFirstChild(); node != null; node = node.getNextSibling()) {
      if (node instanceof Element element && element.getTagName().equals(name)) {
        found.add(element);
      }
    }
    return found.stream();
  }

  private static Stream<Element> descendants(Element parent, String name) {
    NodeList nodes = parent.getElementsByTagName(name);
    List<Element> found = new ArrayList<>();
    for (int i = 0; i < nodes.getLength(); i++) {
      found.add((Element) nodes.item(i));
    }
    return found.stream();
  }
}
