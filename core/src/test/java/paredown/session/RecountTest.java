package paredown.session;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import paredown.project.Progress;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.remedy.Remedies;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Smell;

/**
 * Recounts every figure that the demo's findings show, by brute force from the plain text: no
 * compiler, no facts, only words and braces.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class RecountTest {
  private static final Path DEMO = Path.of("../demo");
  private static final Set<String> TIE_NOTHING = Set.of("toString", "equals", "hashCode");

  private Explanation god;
  private Explanation clump;
  private List<Finding> findings;
  private Text desk;
  private Text sailing;

  /** A method as words: its header and its body. */
  private record Method(String name, String header, String body, int line, boolean constructor) {
    boolean isStatic() {
      return header.contains("static ");
    }

    boolean isPrivate() {
      return header.contains("private ");
    }

    boolean uses(String field) {
      return Pattern.compile("(?<![.\\w])(this\\.)?" + field + "\\b(?!\\()").matcher(body).find();
    }

    boolean calls(String method) {
      return Pattern.compile("(?<![.\\w])" + method + "\\(").matcher(body).find();
    }

    boolean isAccessor() {
      String plain = body.replaceAll("\\s+", " ").strip();
      boolean sets = plain.matches("(this\\.)?\\w+ = \\w+;");
      String given = plain.replaceAll(".* = (\\w+);", "$1");
      return plain.matches("return \\w+;") || sets && header.matches(".*\\b" + given + "\\)");
    }
  }

  /** A class as words. */
  private record Text(String name, String source, List<String> fields, List<Method> methods) {}

  @BeforeAll
  void explainTheDemo(@TempDir Path folder) throws IOException {
    try (Stream<Path> files = Files.walk(DEMO.resolve("src"))) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        Path copy = folder.resolve(DEMO.relativize(file).toString());
        Files.createDirectories(copy.getParent());
        Files.copy(file, copy);
      }
    }
    // Plain folders, without Maven: the tests' libraries are not needed for the main sources.
    Session session = Session.open(folder, Progress.silent());
    Survey survey = session.survey();
    assertEquals(
        List.of(
            "god-class FerryDesk",
            "feature-envy DeckPlan",
            "lazy-class VesselDirectory",
            "data-clump Sailing",
            "divergent-change QuayBook"),
        survey.findings().stream()
            .filter(finding -> finding.weight() > 30 && !finding.smell().isSmaller())
            .map(finding -> finding.smell().id() + " " + finding.shortType())
            .toList());
    god = session.why(id(survey, Smell.GOD_CLASS, Form.WHOLE), Remedies.Patience.ENDLESS);
    clump = session.why(id(survey, Smell.DATA_CLUMP, Form.FIELDS), Remedies.Patience.ENDLESS);
    findings = survey.findings();
    desk = read("desk/FerryDesk");
    sailing = read("desk/Sailing");
  }

  private static String id(Survey survey, Smell smell, Form form) {
    return survey.findings().stream()
        .filter(finding -> finding.smell() == smell && finding.form() == form)
        .map(Finding::id)
        .findFirst()
        .orElseThrow();
  }

  private static String withoutComments(String text) {
    return text.replaceAll("(?s)/\\*.*?\\*/", "")
        .replaceAll("//.*", "")
        .replaceAll("\"[^\"\n]*\"", "\"\"");
  }

  private static Text read(String name) throws IOException {
    Path file = DEMO.resolve("src/main/java/ferry/" + name + ".java");
    String source = Files.readString(file);
    List<String> fields = new ArrayList<>();
    Matcher field =
        Pattern.compile("(?m)^  private (?!static)[^(=;]*?(\\w+)( =[^;]*)?;").matcher(source);
    while (field.find()) {
      fields.add(field.group(1));
    }
    List<Method> methods = new ArrayList<>();
    Matcher header =
        Pattern.compile("(?m)^  ((?:public |private |static )*[\\w<>, ]*?(\\w+)\\([^{;]*?\\)) \\{$")
            .matcher(source);
    String simple = name.substring(name.lastIndexOf('/') + 1);
    while (header.find()) {
      int end = source.indexOf("\n  }\n", header.end());
      int line =
          (int) source.substring(0, header.start(1)).lines().count()
              + (source.charAt(header.start(1) - 1) == '\n' ? 1 : 0);
      methods.add(
          new Method(
              header.group(2),
              header.group(1),
              withoutComments(source.substring(header.end(), end)),
              line,
              header.group(2).equals(simple)));
    }
    return new Text(simple, source, fields, methods);
  }

  private static int figure(Explanation explanation, String name) {
    return figure(explanation.finding(), name);
  }

  private static int figure(Finding finding, String name) {
    return finding.evidence().figures().stream()
        .filter(figure -> figure.name().equals(name))
        .findFirst()
        .orElseThrow()
        .value();
  }

  private Finding found(Smell smell, Form form) {
    return findings.stream()
        .filter(finding -> finding.smell() == smell && finding.form() == form)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void namesThePlantedGodClassFirstAndTheClumpSecond() {
    assertEquals("ferry.desk.FerryDesk", god.finding().type());
    assertEquals("ferry.desk.Sailing", clump.finding().type());
    assertEquals(List.of("departs", "arrives", "tide"), clump.finding().members());
  }

  @Test
  void countsTheWaysThroughTheMethods() {
    int ways = 0;
    for (Method method : desk.methods()) {
      ways += 1 + count(method.body(), "\\b(if|for|while|case|catch)\\b|&&|\\|\\||\\s\\?\\s");
    }
    assertEquals(ways, figure(god, "branches"));
    assertTrue(
        god.finding()
            .evidence()
            .figures()
            .get(0)
            .words()
            .contains(desk.methods().size() + " methods"));
  }

  private static int count(String text, String pattern) {
    return (int) Pattern.compile(pattern).matcher(text).results().count();
  }

  @Test
  void countsTheForeignFields() {
    Map<String, String> variables = new TreeMap<>();
    Matcher declared =
        Pattern.compile("\\b(Passenger|Car|Booking|Berth|Vessel|Sailing|Season) (\\w+)")
            .matcher(withoutComments(desk.source()));
    while (declared.find()) {
      variables.put(declared.group(2), declared.group(1));
    }
    Set<String> used = new TreeSet<>();
    for (Method method : desk.methods()) {
      Matcher chain =
          Pattern.compile("(?<![.\\w])(\\w+)((?:\\.\\w+\\(\\))+)").matcher(method.body());
      while (chain.find()) {
        String type = variables.get(chain.group(1));
        for (String call : chain.group(2).substring(1).split("\\.")) {
          String name = call.replace("()", "");
          if (type == null || !isGetter(type, name)) {
            break;
          }
          used.add("ferry." + home(type) + "." + type + "#" + name);
          type = name.equals("sailing") ? "Sailing" : null;
        }
      }
    }
    assertEquals(new ArrayList<>(used), god.finding().evidence().foreign());
    assertEquals(used.size(), figure(god, "foreignFields"));
  }

  private static String home(String type) {
    return Set.of("Berth", "Vessel").contains(type) ? "fleet" : "desk";
  }

  private static boolean isGetter(String type, String name) {
    try {
      String source =
          Files.readString(
              DEMO.resolve("src/main/java/ferry/" + home(type) + "/" + type + ".java"));
      return source.contains("return " + name + ";")
          || source.contains("record ") && source.matches("(?s).*\\b" + name + "\\b.*");
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private Set<String> reached(Text text, Method start) {
    Set<String> fields = new HashSet<>();
    Set<Method> seen = new HashSet<>();
    List<Method> open = new ArrayList<>(List.of(start));
    while (!open.isEmpty()) {
      Method method = open.remove(0);
      if (seen.add(method)) {
        text.fields().stream().filter(method::uses).forEach(fields::add);
        text.methods().stream().filter(each -> method.calls(each.name())).forEach(open::add);
      }
    }
    return fields;
  }

  @Test
  void countsThePairsThatHaveAFieldInCommon() {
    List<Method> visible =
        desk.methods().stream()
            .filter(m -> !m.constructor() && !m.isStatic() && !m.isPrivate())
            .toList();
    int pairs = 0;
    int connected = 0;
    for (int i = 0; i < visible.size(); i++) {
      for (int j = i + 1; j < visible.size(); j++) {
        Set<String> common = reached(desk, visible.get(i));
        common.retainAll(reached(desk, visible.get(j)));
        connected += common.isEmpty() ? 0 : 1;
        pairs++;
      }
    }
    assertEquals(connected, figure(god, "connectedPairs"));
    String words = god.finding().evidence().figures().get(2).words();
    assertTrue(words.startsWith(connected + " of " + pairs + " pairs"), words);
    assertTrue(words.contains("(" + connected * 100 / pairs + " %"), words);
  }

  @Test
  void findsTheGroupsThatShareNothing() {
    List<Set<String>> groups = new ArrayList<>();
    for (Method method : desk.methods()) {
      if (method.constructor() || method.isStatic() || TIE_NOTHING.contains(method.name())) {
        continue;
      }
      Set<String> touched = new TreeSet<>(Set.of(method.name() + "()"));
      desk.fields().stream().filter(method::uses).forEach(touched::add);
      desk.methods().stream()
          .filter(each -> !each.isStatic() && method.calls(each.name()))
          .forEach(each -> touched.add(each.name() + "()"));
      List<Set<String>> tied =
          groups.stream().filter(g -> g.stream().anyMatch(touched::contains)).toList();
      tied.forEach(touched::addAll);
      groups.removeAll(tied);
      groups.add(touched);
    }
    Set<Set<String>> shown = new HashSet<>();
    for (Evidence.Group group : god.finding().evidence().groups()) {
      Set<String> members = new TreeSet<>(group.fields());
      group.methods().forEach(each -> members.add(each.replaceAll("\\(.*", "()")));
      shown.add(members);
    }
    assertEquals(new HashSet<>(groups), shown);
  }

  @Test
  void countsTheClumpsFieldsAndMethods() {
    List<String> fields = clump.finding().members();
    List<String> users = new ArrayList<>();
    Map<String, List<String>> uses = new LinkedHashMap<>();
    for (Method method : sailing.methods()) {
      List<String> used = fields.stream().filter(method::uses).toList();
      if (!used.isEmpty() && !method.constructor() && !method.isAccessor()) {
        assertTrue(used.size() > 1, method.name() + " uses one alone");
        users.add(method.name());
        uses.put(method.name(), used);
      }
    }
    assertEquals(users.size(), figure(clump, "methods"));
    assertEquals(fields.size(), figure(clump, "fields"));
    String words = clump.finding().evidence().figures().get(0).words();
    assertTrue(words.startsWith(fields.size() + " of its " + sailing.fields().size()), words);
    for (Evidence.Row row : clump.finding().evidence().rows()) {
      if (row.member().contains("(")) {
        assertEquals(uses.get(row.member().replaceAll("\\(.*", "")), row.uses());
      }
    }
  }

  @Test
  void namesTheLinesOnWhichTheMembersStand() {
    for (Explanation each : List.of(god, clump)) {
      List<String> lines = Arrays.asList((each == god ? desk : sailing).source().split("\n", -1));
      for (Evidence.Row row : each.finding().evidence().rows()) {
        String line = lines.get(row.line() - 1);
        assertTrue(line.contains(row.member().replaceAll("\\(.*", "")), row + ": " + line);
      }
    }
  }

  @Test
  void countsTheEffectOfTheClumpsRemedy() {
    var remedy = clump.remedies().found().get(0);
    var figures = remedy.effect().figures();
    assertEquals(clump.finding().weight(), figures.get(0).before());
    assertEquals(0, figures.get(0).after());
    assertEquals(sailing.fields().size(), figures.get(1).before());
    assertEquals(sailing.fields().size() - 2, figures.get(1).after());
    long logic =
        sailing.methods().stream().filter(m -> !m.constructor() && !m.isAccessor()).count();
    assertEquals(logic, figures.get(2).before());
    assertEquals(
        logic - ((ExtractClass) remedy.refactoring()).methods().size(), figures.get(2).after());
    assertTrue(remedy.effect().price().contains("4 delegates"), remedy.effect().toString());
  }

  @Test
  void theEnviousMethodsDataCanBeRecounted() throws IOException {
    Finding envy = found(Smell.FEATURE_ENVY, Form.METHOD);
    Method method =
        read("desk/DeckPlan").methods().stream()
            .filter(each -> each.name().equals("deckFor"))
            .findFirst()
            .orElseThrow();
    Set<String> asked = new TreeSet<>();
    Matcher call = Pattern.compile("passenger\\.(\\w+)\\(\\)").matcher(method.body());
    while (call.find()) {
      asked.add(call.group(1));
    }
    assertEquals(asked.size(), figure(envy, "data"));
    assertEquals(
        asked.stream().map(field -> "ferry.desk.Passenger#" + field).toList(),
        envy.evidence().foreign());
    assertTrue(read("desk/DeckPlan").fields().stream().noneMatch(method::uses));
    assertEquals(0, figure(envy, "ownShare"));
  }

  @Test
  void theGoBetweensMethodsCanBeRecounted() throws IOException {
    Finding lazy = found(Smell.LAZY_CLASS, Form.GO_BETWEEN);
    long forwarding =
        read("fleet/VesselDirectory").methods().stream()
            .filter(each -> each.body().strip().startsWith("return fleet." + each.name() + "("))
            .count();
    assertEquals(forwarding, figure(lazy, "forwards"));
    assertEquals(1, clients("VesselDirectory").size());
    assertEquals(1, figure(lazy, "clients"));
  }

  @Test
  void theClientsOfADivergentClassCanBeRecounted() throws IOException {
    Finding divergent = found(Smell.DIVERGENT_CHANGE, Form.WHOLE);
    Set<String> clients = clients("QuayBook");
    assertEquals(2, figure(divergent, "clientGroups"));
    List<String> shown = new ArrayList<>();
    for (Evidence.Group group : divergent.evidence().groups()) {
      for (String user : group.users()) {
        String simple = user.substring(user.lastIndexOf('.') + 1);
        String text =
            Files.readString(DEMO.resolve("src/main/java/ferry/quay/" + simple + ".java"));
        shown.add(simple);
        for (Evidence.Group other : divergent.evidence().groups()) {
          boolean uses =
              other.methods().stream()
                  .anyMatch(m -> text.contains("book." + m.replaceAll("\\(.*", "") + "("));
          assertEquals(other == group, uses, simple + " and " + other.methods());
        }
      }
    }
    assertEquals(clients, new TreeSet<>(shown));
  }

  /** The other classes of the demo whose text holds a class's name. */
  private static Set<String> clients(String name) throws IOException {
    Set<String> found = new TreeSet<>();
    try (Stream<Path> files = Files.walk(DEMO.resolve("src/main"))) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        String simple = file.getFileName().toString().replace(".java", "");
        boolean holds =
            withoutComments(Files.readString(file)).matches("(?s).*\\b" + name + "\\b.*");
        if (holds && !simple.equals(name)) {
          found.add(simple);
        }
      }
    }
    return found;
  }
}
