package paredown.edit;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import paredown.program.Sources;
import paredown.project.Fingerprint;
import paredown.text.SourceText;
import paredown.text.WholeWord;

/**
 * A change is what a refactoring would do to the files, not yet written.
 *
 * @param summary one sentence of what happens
 * @param files the files it creates, edits and deletes, in the order of their paths
 * @param became the key of each symbol that is another now, and what it is
 * @param becameForSelf the same for members that stay as delegates: code that moved with them and
 *     asked its own instance means the moved one; and for type variables that the moved code's new
 *     class has as well
 * @param renamedTypes the binary name of each type that has another now, and the new one; keys and
 *     types are compared as if it had the old one still, or the new one where another type had that
 *     already
 * @param affected the files whose meaning the change could touch, those it edits among them
 * @param report what a reader wants to know beside the text
 */
public record Change(
    String summary,
    List<ChangedFile> files,
    Map<String, String> became,
    Map<String, String> becameForSelf,
    Map<String, String> renamedTypes,
    Set<String> affected,
    Report report) {

  /** A change that gives no type another name. */
  public Change(
      String summary,
      List<ChangedFile> files,
      Map<String, String> became,
      Map<String, String> becameForSelf,
      Set<String> affected,
      Report report) {
    this(summary, files, became, becameForSelf, Map.of(), affected, report);
  }

  public Change {
    files = files.stream().sorted(Comparator.comparing(ChangedFile::path)).toList();
    became = Map.copyOf(became);
    becameForSelf = Map.copyOf(becameForSelf);
    renamedTypes = Map.copyOf(renamedTypes);
    affected = Set.copyOf(affected);
  }

  /**
   * What a reader of a change wants to know beside its text.
   *
   * @param api what changes in the public API; empty where it stays as it is
   * @param wider what becomes more visible than it was
   * @param delegates the methods that stay and forward
   * @param notes decisions that were taken, and how to get the other
   * @param assumptions what the change rests on and no proof can give
   * @param goneTests the tests that go, since what they test goes: {@code ferry.SailingTest#floats}
   */
  public record Report(
      List<String> api,
      List<String> wider,
      List<String> delegates,
      List<String> notes,
      List<Assumption> assumptions,
      List<String> goneTests) {

    /** A report without assumptions. */
    public Report(
        List<String> api, List<String> wider, List<String> delegates, List<String> notes) {
      this(api, wider, delegates, notes, List.of(), List.of());
    }

    /** The same with what is assumed. */
    public Report assuming(List<Assumption> all) {
      return new Report(api, wider, delegates, notes, List.copyOf(all), goneTests);
    }

    /** The same with tests that go. */
    public Report withoutTests(List<String> gone) {
      return new Report(api, wider, delegates, notes, assumptions, List.copyOf(gone));
    }
  }

  /** Six hexadecimal digits of its content. */
  public String id() {
    Fingerprint fingerprint = new Fingerprint();
    for (ChangedFile file : files) {
      fingerprint.add(file.path());
      file.movedFrom().ifPresent(fingerprint::add);
      fingerprint.add(file.before().map(before -> before.text()).orElse("(new)"));
      fingerprint.add(file.after().text());
    }
    return fingerprint.hex(6);
  }

  /**
   * Whether a type that was written so before is written so now. A type variable is shown by its
   * name only: what it means is looked at where it is used. What a wildcard stands for has the
   * members of its bound, and no others.
   */
  public boolean isSameType(String before, String now) {
    if (bound(before).equals(bound(now))) {
      return true;
    }
    String renamed = before;
    for (Map.Entry<String, String> each : became.entrySet()) {
      if (each.getKey().startsWith("tvar ")) {
        renamed =
            WholeWord.of(each.getKey().split(" ")[1])
                .matcher(renamed)
                .replaceAll(Matcher.quoteReplacement(each.getValue().split(" ")[1]));
      }
    }
    return renamed.equals(now);
  }

  private static String bound(String type) {
    return type.equals("capture of ?")
        ? "java.lang.Object"
        : type.replaceFirst("^capture of \\? extends ", "");
  }

  /** The same without what it does to files that are not code. */
  public Change ofCode() {
    List<ChangedFile> code = files.stream().filter(ChangedFile::isCode).toList();
    return new Change(summary, code, became, becameForSelf, renamedTypes, affected, report);
  }

  /** The same without files that stay as they are, whose names only have another type. */
  public Change withoutSame() {
    List<ChangedFile> others = files.stream().filter(file -> !file.isSame()).toList();
    return new Change(summary, others, became, becameForSelf, renamedTypes, affected, report);
  }

  /** The sources with this change done, in memory. */
  public Sources after(Sources before) {
    Map<Boolean, List<SourceText>> written =
        files.stream()
            .filter(file -> !file.isDeleted())
            .collect(
                Collectors.partitioningBy(
                    ChangedFile::isCode,
                    Collectors.mapping(ChangedFile::after, Collectors.toList())));
    return before.after(written.get(true), written.get(false), gone());
  }

  /** The changed file that has a path afterwards. */
  public Optional<ChangedFile> file(String path) {
    return files.stream().filter(file -> file.path().equals(path)).findFirst();
  }

  /** The changed file that had a path before. */
  public Optional<ChangedFile> fileBefore(String path) {
    return files.stream()
        .filter(file -> file.before().map(SourceText::path).filter(path::equals).isPresent())
        .findFirst();
  }

  /** The paths that hold no file afterwards, and did before. */
  public Set<String> gone() {
    Stream<String> deleted = files.stream().filter(ChangedFile::isDeleted).map(ChangedFile::path);
    Stream<String> moved =
        files.stream()
            .flatMap(file -> file.movedFrom().stream())
            .filter(path -> file(path).isEmpty());
    return Stream.concat(deleted, moved).collect(Collectors.toSet());
  }
}
