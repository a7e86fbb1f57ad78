package paredown.refactor.code;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.text.SourceText;

/** A link of a comment to a member that goes: it becomes the words that it showed. */
public final class GoneLink {
  private static final Pattern OPENING = Pattern.compile("\\{@link(?<plain>plain)?\\s+\\z");
  private static final Pattern LABEL = Pattern.compile("\\G(?:[\\s*]+(?<label>[^{}]*?))?\\s*\\}");
  private static final Pattern SEE = Pattern.compile("\\s*\\*\\s*@see\\s+\\z");
  private static final int BEFORE = 80;

  private GoneLink() {}

  /**
   * What stands for it; empty where it is another kind of reference.
   *
   * @param use the reference to the member
   */
  public static Optional<Replacement> replacement(UnitTrees trees, Use use) {
    SourceText source = trees.source();
    int start = Math.max(0, use.offset() - BEFORE);
    int end = DocReference.end(source, use.offset());
    Matcher opening = OPENING.matcher(source.slice(start, use.offset()));
    Matcher label = LABEL.matcher(source.text());
    if (opening.find() && label.find(end)) {
      String said = source.slice(use.offset(), end).replaceFirst("^#", "").replace('#', '.');
      String shown = label.group("label") == null ? said : label.group("label");
      boolean plain = opening.group("plain") != null;
      int from = start + opening.start();
      return Optional.of(words(trees, from, label.end(), plain ? shown : "{@code " + shown + "}"));
    }
    int line = source.lineStart(use.offset());
    boolean alone =
        SEE.matcher(source.slice(line, use.offset())).matches()
            && source.slice(end, source.nextLine(use.offset())).isBlank();
    return alone
        ? Optional.of(words(trees, line, source.nextLine(use.offset()), ""))
        : Optional.empty();
  }

  private static Replacement words(UnitTrees trees, int start, int end, String words) {
    List<Replacement.Dropped> dropped =
        trees.program().uses().within(trees.path(), start, end).stream()
            .map(each -> new Replacement.Dropped(each.place(), "what it links to is gone"))
            .toList();
    List<Written> pieces = words.isEmpty() ? List.of() : List.of(Written.plain(words));
    return new Replacement(start, end, List.copyOf(pieces), dropped);
  }
}
