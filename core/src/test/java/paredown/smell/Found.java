package paredown.smell;

import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import paredown.Fixture;
import paredown.facts.FactsDrawer;
import paredown.history.History;
import paredown.program.Program;
import paredown.program.Sources;
import paredown.project.SourceFile;
import paredown.smell.detector.Detectors;

/** What the detectors find in a few sources, each the text of one top-level type. */
record Found(List<Finding> all) {
  private static final Pattern NAME = Pattern.compile("(?:class|record|interface|enum) (\\w+)");
  private static final Pattern PACKAGE = Pattern.compile("package ([\\w.]+);");

  static Found in(Path folder, String... sources) {
    return in(folder, History.NONE, sources);
  }

  static Found in(Path folder, History history, String... sources) {
    Fixture fixture = new Fixture(folder);
    for (String source : sources) {
      fixture.with(path(source), source);
    }
    Sources read = fixture.sources();
    Program program = Program.of(read, read.paths(SourceFile.Kind.MAIN));
    if (!program.errors().isEmpty()) {
      throw new IllegalArgumentException(program.errors().toString());
    }
    return new Found(
        Detectors.find(Grounds.of(FactsDrawer.draw(program), history, Limits.defaults())));
  }

  private static String path(String source) {
    Matcher name = NAME.matcher(source);
    Matcher in = PACKAGE.matcher(source);
    String folder = in.find() ? in.group(1).replace('.', '/') + "/" : "";
    return "src/" + folder + (name.find() ? name.group(1) : "none") + ".java";
  }

  /** The findings of one form of the five smells, as {@code Class: summary}. */
  List<String> of(Form form) {
    return all.stream()
        .filter(finding -> finding.form() == form && !finding.smell().isSmaller())
        .map(finding -> finding.shortType() + ": " + finding.summary())
        .toList();
  }

  Finding one(Form form) {
    return all.stream().filter(finding -> finding.form() == form).findFirst().orElseThrow();
  }
}
