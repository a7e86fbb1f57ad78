package paredown.cli.show;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.gate.Verdict;
import paredown.gate.quick.SmallFault;
import paredown.gate.quick.WouldNotice;
import paredown.gate.reach.ReachOfChange;
import paredown.session.Preview;
import paredown.text.Counted;
import paredown.text.Listed;

/**
 * A preview as text: what happens, where, what it costs, what the gates say, and the difference.
 */
public final class PreviewText {
  /** More than these in a line nobody reads; the changes below show them all. */
  private static final int NAMED = 8;

  private static final int NAMED_TESTS = 4;

  private final Terminal terminal;
  private final Optional<WouldNotice> notice;

  public PreviewText(Terminal terminal) {
    this(terminal, Optional.empty());
  }

  private PreviewText(Terminal terminal, Optional<WouldNotice> notice) {
    this.terminal = terminal;
    this.notice = notice;
  }

  /** The same with what tests would notice. */
  public PreviewText with(Optional<WouldNotice> other) {
    return new PreviewText(terminal, other);
  }

  /** The preview in bytes, since a difference is in the encoding of its file. */
  public byte[] of(Preview preview, Optional<ReachOfChange> reach, String apply) {
    Change change = preview.change();
    StringBuilder text = new StringBuilder();
    text.append(terminal.bold(change.summary())).append("\n\n");
    files(change, text);
    text.append('\n');
    report(change.report(), text);
    verdict(preview.verdict(), text);
    reach.ifPresent(each -> reach(each, text));
    notice.ifPresent(each -> notice(each, text));
    text.append('\n');
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.writeBytes(text.toString().getBytes(StandardCharsets.UTF_8));
    for (ChangedFile file : change.files()) {
      out.writeBytes(terminal.outIsTerminal() ? coloured(file) : Diff.of(file).bytes());
    }
    String next =
        preview.verdict().passed()
            ? "\nNothing is written yet. Next: " + apply + "\n"
            : "\nThis cannot be applied: a fault of pare, please report it.\n";
    out.writeBytes(next.getBytes(StandardCharsets.UTF_8));
    return out.toByteArray();
  }

  private static void files(Change change, StringBuilder text) {
    int width = change.files().stream().mapToInt(file -> file.path().length()).max().orElse(0);
    for (ChangedFile file : change.files()) {
      Diff diff = Diff.of(file);
      text.append(
          "  %s  +%-4d -%-4d %s"
              .formatted(
                  Columns.pad(file.path(), width),
                  diff.added(),
                  diff.removed(),
                  file.isNew() ? "new" : file.isDeleted() ? "deleted" : was(file))
              .stripTrailing());
      text.append('\n');
    }
  }

  /** Where it was, or only its old name where it stays in its folder. */
  private static String was(ChangedFile file) {
    String old = file.movedFrom().orElse("");
    String name = old.substring(old.lastIndexOf('/') + 1);
    boolean renamed = file.path().startsWith(old.substring(0, old.length() - name.length()));
    return old.isEmpty()
        ? ""
        : "was " + (renamed && !file.path().endsWith("/" + name) ? name : old);
  }

  private void report(Change.Report report, StringBuilder text) {
    line("API", report.api(), "unchanged", text);
    line("More visible", report.wider(), "nothing", text);
    line("Delegates", report.delegates(), "none", text);
    if (!report.goneTests().isEmpty()) {
      line("Tests gone", report.goneTests(), "", text);
    }
    String label = "Assumes:";
    for (Assumption assumption : report.assumptions()) {
      text.append(Columns.pad(label, 14)).append(assumption.sentence());
      text.append(assumption.place().isEmpty() ? "" : " (" + assumption.place() + ")").append('\n');
      label = "";
    }
    report.notes().forEach(note -> text.append(note).append('\n'));
  }

  /** Which tests would notice; nothing where nobody has recorded them. */
  private void reach(ReachOfChange reach, StringBuilder text) {
    List<String> said = new ArrayList<>();
    if (!reach.tests().isEmpty()) {
      List<String> tests = List.copyOf(reach.tests());
      List<String> named = tests.subList(0, Math.min(NAMED_TESTS, tests.size()));
      int more = tests.size() - named.size();
      said.add(
          "%s%s %s it"
              .formatted(
                  more > 0 ? String.join(", ", named) : Listed.of(named),
                  more > 0 ? " and %d more".formatted(more) : "",
                  tests.size() == 1 ? "reaches" : "reach"));
    }
    if (!reach.unreached().isEmpty()) {
      said.add(terminal.red("none reaches " + Listed.of(reach.unreached())));
    }
    if (!reach.since().isEmpty()) {
      said.add(
          "not known for %s since it changed; pare test --reach looks again"
              .formatted(reach.since().get(0)));
    }
    text.append("Tests:        ").append(String.join("; ", said)).append('\n');
  }

  /** Which small faults the tests would notice, and at the most which not. */
  private void notice(WouldNotice notice, StringBuilder text) {
    int noticed = notice.tried() - notice.missed().size();
    text.append("Would notice: ");
    text.append(
        notice.tried() == 0
            ? "no fault could be made in the lines that change"
            : "%d of %s there"
                .formatted(noticed, Counted.of(notice.tried(), "small fault", "small faults")));
    text.append('\n');
    for (SmallFault missed : notice.missed()) {
      text.append("              ")
          .append(terminal.red("not noticed: "))
          .append("%s (%s)%n".formatted(missed.says(), missed.place()));
    }
  }

  private static void line(String label, List<String> items, String none, StringBuilder text) {
    text.append(Columns.pad(label + ":", 14));
    List<String> named = items.size() > NAMED ? items.subList(0, NAMED - 1) : items;
    text.append(items.isEmpty() ? none : String.join("; ", named));
    int more = items.size() - named.size();
    text.append(more > 0 ? "; and %d more".formatted(more) : "").append('\n');
  }

  private void verdict(Verdict verdict, StringBuilder text) {
    if (verdict.passed()) {
      text.append("Compiles:     ")
          .append(terminal.green("yes"))
          .append(", ")
          .append(Counted.of(verdict.files(), "file that it", "files that it"))
          .append(" could touch\n");
      text.append("Same meaning: ")
          .append(terminal.green("yes"))
          .append(String.format(Locale.ROOT, ", %,d names compared%n", verdict.names()));
    } else {
      text.append("Gates:        ").append(terminal.red("no")).append('\n');
      verdict.errors().stream().limit(5).forEach(each -> text.append("  " + each + "\n"));
      verdict.breaks().stream().limit(5).forEach(each -> text.append("  " + each + "\n"));
    }
  }

  private byte[] coloured(ChangedFile file) {
    String diff = new String(Diff.of(file).bytes(), file.after().charset());
    StringBuilder text = new StringBuilder();
    for (String line : diff.split("\n", -1)) {
      boolean header = line.startsWith("+++") || line.startsWith("---") || line.startsWith("diff ");
      if (header) {
        text.append(terminal.bold(line));
      } else if (line.startsWith("+")) {
        text.append(terminal.green(line));
      } else if (line.startsWith("-")) {
        text.append(terminal.red(line));
      } else if (line.startsWith("@@")) {
        text.append(terminal.cyan(line));
      } else {
        text.append(line);
      }
      text.append('\n');
    }
    text.setLength(Math.max(0, text.length() - 1));
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }
}
