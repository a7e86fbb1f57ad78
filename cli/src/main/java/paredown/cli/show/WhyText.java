package paredown.cli.show;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import paredown.facts.MethodFact;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractclass.ExtractGroups;
import paredown.refactor.operation.extractmethod.ExtractPieces;
import paredown.refactor.operation.extractmethod.ExtractStages;
import paredown.refactor.operation.inlineclass.InlineClass;
import paredown.refactor.operation.remove.RemoveClass;
import paredown.refactor.operation.remove.RemoveMember;
import paredown.refactor.operation.remove.RemoveParameter;
import paredown.refactor.operation.several.Several;
import paredown.refactor.operation.superclass.ExtractSuperclass;
import paredown.remedy.Effect;
import paredown.remedy.Remedy;
import paredown.session.Explanation;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Smell;
import paredown.text.Counted;
import paredown.text.Listed;

/** An explanation as text. */
public final class WhyText {
  private static final int GROUP_ROWS = 12;

  /** More remedies than this at a time leave nobody the wiser. */
  private static final int SHOWN = 3;

  private final Terminal terminal;
  private final String here;

  public WhyText(Terminal terminal, String here) {
    this.terminal = terminal;
    this.here = here;
  }

  public String of(Explanation explanation) {
    Finding finding = explanation.finding();
    Evidence evidence = finding.evidence();
    StringBuilder text = new StringBuilder(terminal.bold(finding.claim())).append('\n');
    text.append("  %s:%d%n".formatted(finding.range().file(), finding.range().line()));
    for (Evidence.Figure figure : evidence.figures()) {
      text.append("  ").append(figure.words()).append('\n');
      if (figure.name().equals("foreignFields")) {
        foreign(evidence.foreign(), text);
      }
    }
    if (!evidence.says().isEmpty()) {
      text.append(evidence.says()).append('\n');
    }
    if (finding.smell() == Smell.GOD_CLASS || !evidence.groups().isEmpty()) {
      for (int i = 0; i < evidence.groups().size(); i++) {
        group(explanation, i + 1, evidence.groups().get(i), text);
      }
    } else {
      byFile(explanation, text);
    }
    remedies(explanation, text);
    return text.toString();
  }

  private void byFile(Explanation explanation, StringBuilder text) {
    Finding finding = explanation.finding();
    Map<String, List<Evidence.Row>> files = new LinkedHashMap<>();
    finding
        .evidence()
        .rows()
        .forEach(row -> files.computeIfAbsent(row.file(), f -> new ArrayList<>()).add(row));
    files.forEach(
        (file, rows) -> {
          if (files.size() > 1 || !file.equals(finding.range().file())) {
            text.append("  ").append(file).append('\n');
          }
          rows(explanation, rows, text);
        });
  }

  private void foreign(List<String> fields, StringBuilder text) {
    Map<String, List<String>> byType = new LinkedHashMap<>();
    for (String field : fields) {
      String type = field.substring(0, field.indexOf('#'));
      byType
          .computeIfAbsent(type.substring(type.lastIndexOf('.') + 1), t -> new ArrayList<>())
          .add(field.substring(field.indexOf('#') + 1));
    }
    byType.forEach(
        (type, names) ->
            text.append(
                Columns.cut("    " + type + ": " + String.join(", ", names), terminal.width())
                    + "\n"));
  }

  private void group(
      Explanation explanation, int number, Evidence.Group group, StringBuilder text) {
    String fields = String.join(", ", group.fields());
    String name = group.name().isEmpty() ? "" : group.name() + (fields.isEmpty() ? "" : ": ");
    text.append(
        "  %d  %s%n"
            .formatted(number, terminal.bold(Columns.cut(name + fields, terminal.width() - 5))));
    List<Evidence.Row> rows =
        explanation.finding().evidence().rows().stream()
            .filter(row -> group.methods().contains(row.member()))
            .toList();
    rows(explanation, rows.stream().limit(GROUP_ROWS).toList(), text);
    if (rows.size() > GROUP_ROWS) {
      text.append("       and %d more\n".formatted(rows.size() - GROUP_ROWS));
    }
    if (!group.users().isEmpty()) {
      List<String> users =
          group.users().stream()
              .map(user -> user.contains("/") ? user : Finding.shortName(user))
              .toList();
      boolean files = group.users().get(0).contains("/");
      String label = files ? "     changes with " : "     used by ";
      text.append(Columns.cut(label + Listed.of(users), terminal.width())).append('\n');
    }
  }

  private void rows(Explanation explanation, List<Evidence.Row> rows, StringBuilder text) {
    int digits = longest(rows.stream().map(row -> String.valueOf(row.line())).toList());
    List<String> uses = rows.stream().map(row -> String.join(", ", row.uses())).toList();
    int room = terminal.width() - Math.max(4, digits) - 6;
    int most = room - Math.min(longest(uses), room * 2 / 5);
    List<String> sources =
        rows.stream().map(row -> Columns.cut(source(explanation, row, most), most)).toList();
    int width = longest(sources);
    String line = "  %" + Math.max(4, digits) + "d  %s  %s";
    for (int i = 0; i < rows.size(); i++) {
      text.append(
          line.formatted(
                  rows.get(i).line(),
                  Columns.pad(sources.get(i), width),
                  terminal.faint(Columns.cut(uses.get(i), room - width)))
              .stripTrailing());
      text.append('\n');
    }
  }

  private static int longest(List<String> texts) {
    return texts.stream().mapToInt(String::length).max().orElse(0);
  }

  /**
   * A member as it stands in its line; where the line does not hold all of it, or there is no room,
   * as much of its head as there is room for.
   */
  private static String source(Explanation explanation, Evidence.Row row, int room) {
    String line = explanation.lines().get(row);
    if (row.member().isEmpty()) {
      return "  " + line;
    }
    List<String> heads = new ArrayList<>();
    String name = row.member().replaceAll("\\(.*", "");
    String written = line.replaceAll("\\s*\\{$", "");
    if (written.matches(".*\\b" + Pattern.quote(name) + "\\b.*") && !written.matches(".*[(,]")) {
      heads.add(written);
    }
    MethodFact method = explanation.methods().get(row);
    if (method != null) {
      heads.add(head(name, method, parameter -> parameter.type() + " " + parameter.name()));
      heads.add(head(name, method, MethodFact.Parameter::name));
    }
    return heads.stream().filter(head -> head.length() <= room).findFirst().orElse(row.member());
  }

  private static String head(
      String name, MethodFact method, Function<MethodFact.Parameter, String> parameter) {
    return method.parameters().stream()
        .map(parameter)
        .collect(Collectors.joining(", ", name + "(", ")"));
  }

  /** What a user may choose. */
  private static String choice(Refactoring refactoring) {
    boolean nameless =
        refactoring instanceof InlineClass
            || refactoring instanceof ExtractStages
            || refactoring instanceof ExtractPieces
            || refactoring instanceof ExtractGroups
            || refactoring instanceof RemoveClass
            || refactoring instanceof RemoveMember
            || refactoring instanceof RemoveParameter
            || refactoring instanceof Several
            || refactoring instanceof ExtractSuperclass up && up.name().isEmpty();
    return nameless
        ? ""
        : " (choose %s name with --name)"
            .formatted(refactoring instanceof ExtractClass ? "the" : "another");
  }

  private void remedies(Explanation explanation, StringBuilder text) {
    Finding finding = explanation.finding();
    List<Remedy> found = explanation.remedies().found();
    for (Remedy remedy : found.stream().limit(SHOWN).toList()) {
      text.append('\n');
      text.append(
          "%s %s%s%n"
              .formatted(
                  terminal.bold("Remedy " + remedy.shortId() + condition(remedy) + ":"),
                  remedy.refactoring().says(),
                  choice(remedy.refactoring())));
      for (RefusalKind kind : remedy.conditions()) {
        text.append("  %s: %s (%s)%n".formatted(kind.id(), kind.why(), "--accept " + kind.id()));
      }
      if (remedy.refactoring() instanceof ExtractClass extraction) {
        wrapped("fields", extraction.fields(), text);
        wrapped("methods", extraction.methods(), text);
      }
      text.append("  %s: %s%n".formatted(finding.shortType(), effect(remedy.effect())));
      price(remedy.effect(), text);
    }
    if (found.size() > SHOWN) {
      List<String> others =
          found.stream()
              .skip(SHOWN)
              .map(each -> "%s (%s)".formatted(each.refactoring().says(), each.shortId()))
              .toList();
      text.append("\nAlso: ").append(String.join(", ", others)).append(".\n");
    }
    List<String> dropped = explanation.dropped();
    if (!dropped.isEmpty()) {
      text.append(
          "\n%s not offered:%n"
              .formatted(
                  Counted.of(
                      explanation.remedies().dropped().size(), "remedy is", "remedies are")));
      dropped.forEach(reason -> text.append("  ").append(reason).append('\n'));
    }
    int untried = explanation.remedies().untried().size();
    if (untried > 0) {
      text.append(
          "%n%s not tried: pare why %s --all%s tries all, and takes longer.%n"
              .formatted(
                  Counted.of(untried, "more remedy was", "more remedies were"),
                  finding.id(),
                  here));
    }
    if (found.isEmpty() && dropped.isEmpty()) {
      text.append("\nNo remedy is known for it yet.\n");
    }
    String next =
        found.isEmpty()
            ? "pare survey" + here
            : "pare mend " + found.get(0).id() + found.get(0).accepting() + here;
    text.append("\nNext: ").append(next).append('\n');
    text.append(
        "Or live with it: pare accept %s --because \"...\"%s%n".formatted(finding.id(), here));
  }

  private static String condition(Remedy remedy) {
    List<String> kinds = remedy.conditions().stream().map(RefusalKind::id).toList();
    return kinds.isEmpty() ? "" : ", if you accept " + Listed.of(kinds);
  }

  private static void price(Effect effect, StringBuilder text) {
    List<String> price = effect.price();
    text.append("  price: ").append(price.isEmpty() ? "none" : String.join(", ", price));
    text.append('\n');
  }

  private void wrapped(String label, List<String> members, StringBuilder text) {
    if (!members.isEmpty()) {
      text.append(Columns.cut("  " + label + ": " + String.join(", ", members), terminal.width()));
      text.append('\n');
    }
  }

  private static String figure(Effect.Figure figure) {
    boolean gone = figure.words().equals(Effect.WEIGHT) && figure.after() == 0;
    return "%s %d -> %s"
        .formatted(figure.words(), figure.before(), gone ? "gone" : String.valueOf(figure.after()));
  }

  private static String effect(Effect effect) {
    return effect.figures().stream().map(WhyText::figure).collect(Collectors.joining(", "));
  }
}
