package paredown.gate;

import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Run;
import paredown.program.Symbols;
import paredown.text.SourceText;

/** Provenance maps places and symbols of the old text to those of the new, and back. */
final class Provenance {
  private static final Pattern PLACE = Pattern.compile("@\\{([^}]+):(\\d+)}");

  private final Change change;
  private final Function<String, Intervals<Image>> byOrigin;
  private final Set<String> changed;

  /** A run together with the file it is in now. */
  private record Image(String file, Run run) {}

  Provenance(Change change) {
    this.change = change;
    this.changed =
        change.files().stream()
            .flatMap(file -> file.before().stream())
            .map(SourceText::path)
            .collect(Collectors.toSet());
    this.byOrigin =
        Intervals.byText(
            change.files().stream()
                .flatMap(file -> file.runs().stream().map(run -> new Image(file.path(), run))),
            image -> image.run().origin(),
            image -> image.run().originStart(),
            image -> image.run().originEnd());
  }

  /**
   * The key that an old symbol has now, as seen from a place of the new text.
   *
   * @param file the file of that place
   * @param run the run it is in; null for written text
   */
  String image(String key, String file, Run run) {
    String became = change.became().get(key);
    if (became != null) {
      return places(became, file, run);
    }
    if (key.contains(" & ")) {
      return Arrays.stream(key.split(" & "))
          .map(each -> image(each, file, run))
          .distinct()
          .sorted()
          .collect(Collectors.joining(" & "));
    }
    int of = key.indexOf(" of ");
    if (of > 0 && isSelf(key)) {
      return key.substring(0, of + 4) + self(key.substring(of + 4), file, run);
    }
    if (of > 0) {
      String generic = key.substring(of + 4);
      boolean moved = run != null && run.self() != null;
      String whole = moved ? change.becameForSelf().get(key) : null;
      if (whole != null) {
        return whole;
      }
      String here = moved ? change.becameForSelf().get(generic) : null;
      return key.substring(0, of + 4) + (here != null ? here : image(generic, file, run));
    }
    return places(key, file, run);
  }

  private static boolean isSelf(String key) {
    return key.startsWith("this of ") || key.startsWith("super of ");
  }

  private String self(String type, String file, Run run) {
    boolean moved = run != null && run.self() != null && run.self().oldType().equals(type);
    return moved ? run.self().newType() : places(type, file, run);
  }

  /** The class that an unqualified member is asked of. */
  String receiver(String key, String file, Run run) {
    boolean moved =
        run != null && run.self() != null && Symbols.typeKey(run.self().oldType()).equals(key);
    return moved ? Symbols.typeKey(run.self().newType()) : image(key, file, run);
  }

  /** A key whose places are those of the new text. */
  String placed(String key) {
    return places(key, "", null);
  }

  private String places(String key, String file, Run run) {
    Matcher matcher = PLACE.matcher(key);
    return matcher.replaceAll(
        found ->
            Matcher.quoteReplacement(
                place(found.group(1), Integer.parseInt(found.group(2)), file, run)));
  }

  private String place(String origin, int offset, String file, Run run) {
    // A file that stays as it is goes on having what is only repeated from it.
    boolean stays = !changed.contains(origin);
    return byOrigin.apply(origin).at(offset).stream()
        .filter(image -> !stays || samePiece(image, file, run))
        .min(
            Comparator.comparing((Image image) -> distance(image, file, run))
                .thenComparing(
                    image -> run == null ? 0 : Math.abs(run.start() - image.run().start())))
        .map(image -> Symbols.place(image.file(), image.run().imageOf(offset)))
        .orElse(stays ? Symbols.place(origin, offset) : "@{gone}");
  }

  /**
   * A local variable is the one in the same piece, or else the one that was not merely copied; for
   * what was copied itself, it is one that was copied in front of it.
   */
  private static int distance(Image image, String file, Run run) {
    boolean copied = image.run().kind() == Run.Kind.COPIED;
    boolean here = image.file().equals(file);
    boolean alike =
        run != null && run.kind() == Run.Kind.COPIED
            ? copied && here && image.run().start() <= run.start()
            : !copied;
    return (samePiece(image, file, run) ? 0 : 4) + (alike ? 0 : 2) + (here ? 0 : 1);
  }

  private static boolean samePiece(Image image, String file, Run run) {
    return run != null && image.file().equals(file) && image.run().piece() == run.piece();
  }

  /** Where a place of the new text was in the old; empty where it was written. */
  Optional<Origin> origin(String file, int offset) {
    Optional<ChangedFile> changed = change.file(file);
    if (changed.isEmpty()) {
      return Optional.of(new Origin(file, offset, null));
    }
    return changed
        .get()
        .runAt(offset)
        .map(run -> new Origin(run.origin(), run.originOf(offset), run));
  }

  /**
   * A place of the old text, and the run that brought it into the new; null for untouched files.
   */
  record Origin(String file, int offset, Run run) {}
}
