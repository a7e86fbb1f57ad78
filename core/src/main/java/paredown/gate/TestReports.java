package paredown.gate;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** The reports of a test run: JUnit XML files, those of them that the run itself has written. */
final class TestReports {
  private final List<Path> folders;
  private final Map<Path, FileTime> old = new HashMap<>();

  /** Remembers which reports are there before a run. */
  TestReports(List<Path> folders) throws IOException {
    this.folders = folders;
    for (Path report : files()) {
      old.put(report, Files.getLastModifiedTime(report));
    }
  }

  /** How many test classes have reported since, of how many that did last time. */
  String soFar() {
    try {
      int fresh = fresh().size();
      return old.isEmpty()
          ? fresh + (fresh == 1 ? " test class" : " test classes")
          : "%d of %d test classes".formatted(fresh, Math.max(fresh, old.size()));
    } catch (IOException e) {
      return "";
    }
  }

  /** The results in all reports that were written since. */
  List<TestResult> results() throws IOException {
    List<TestResult> results = new ArrayList<>();
    for (Path report : fresh()) {
      results.addAll(parse(report));
    }
    return results;
  }

  private List<Path> fresh() throws IOException {
    List<Path> fresh = new ArrayList<>();
    for (Path report : files()) {
      if (!Files.getLastModifiedTime(report).equals(old.get(report))) {
        fresh.add(report);
      }
    }
    return fresh;
  }

  private List<Path> files() throws IOException {
    List<Path> files = new ArrayList<>();
    for (Path folder : folders) {
      if (Files.isDirectory(folder)) {
        try (Stream<Path> entries = Files.list(folder)) {
          entries
              .filter(file -> file.getFileName().toString().matches("TEST-.*\\.xml"))
              .sorted()
              .forEach(files::add);
        }
      }
    }
    return files;
  }

  private static List<TestResult> parse(Path report) throws IOException {
    XMLInputFactory factory = XMLInputFactory.newInstance();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    List<TestResult> results = new ArrayList<>();
    try (InputStream stream = Files.newInputStream(report)) {
      XMLStreamReader xml = factory.createXMLStreamReader(stream);
      while (xml.hasNext()) {
        if (xml.next() == XMLStreamConstants.START_ELEMENT
            && xml.getLocalName().equals("testcase")) {
          results.add(testcase(xml));
        }
      }
      return results;
    } catch (XMLStreamException e) {
      throw new IOException(report + " is no JUnit report: " + e.getMessage(), e);
    }
  }

  private static TestResult testcase(XMLStreamReader xml) throws XMLStreamException {
    String type = attribute(xml, "classname");
    String name = type + "#" + attribute(xml, "name");
    TestResult.Status status = TestResult.Status.PASSED;
    String message = "";
    String place = "";
    while (xml.hasNext()) {
      int event = xml.next();
      if (event == XMLStreamConstants.END_ELEMENT && xml.getLocalName().equals("testcase")) {
        break;
      }
      if (event == XMLStreamConstants.START_ELEMENT) {
        switch (xml.getLocalName()) {
          case "failure", "error" -> {
            status = TestResult.Status.FAILED;
            String said = attribute(xml, "message");
            String kind = attribute(xml, "type");
            String trace = xml.getElementText();
            message = said.isBlank() ? kind : said.strip();
            place = place(trace, type);
          }
          case "skipped" -> status = TestResult.Status.SKIPPED;
          default -> {
            // Output and properties say nothing about how it ended.
          }
        }
      }
    }
    return new TestResult(name, status, message, place);
  }

  private static String attribute(XMLStreamReader xml, String name) {
    String value = xml.getAttributeValue(null, name);
    return value == null ? "" : value;
  }

  /** The line of the test class in a stack trace. */
  private static String place(String trace, String type) {
    String simple = type.substring(type.lastIndexOf('.') + 1).replaceAll("\\$.*", "");
    Matcher line =
        Pattern.compile("\\((" + Pattern.quote(simple) + "\\.java:\\d+)\\)").matcher(trace);
    return line.find() ? line.group(1) : "";
  }
}
