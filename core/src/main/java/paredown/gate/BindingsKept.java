package paredown.gate;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Meaning;
import paredown.edit.Replacement;
import paredown.edit.Run;
import paredown.edit.Self;
import paredown.edit.WrittenUse;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;

/**
 * The gate <em>bindings kept</em>: every name still means what it meant, and every use of the old
 * text is accounted for exactly once.
 *
 * <p>The idea is that of Schäfer and de Moor, "Specifying and implementing refactorings", OOPSLA
 * 2010: what a program means is preserved when every name is bound as before.
 */
final class BindingsKept {
  private static final Set<String> PLAIN =
      Set.of("constructor java.lang.Object()", "constructor java.lang.Record()");

  /** What a new variable has by its value, which is looked at itself, and where it is named. */
  private static final Set<UseKind> OF_NEW = EnumSet.of(UseKind.CONSTANT, UseKind.INFERRED);

  /** What tells a type by its text only. */
  private static final Set<UseKind> SHOWING_TYPES = EnumSet.of(UseKind.LAMBDA, UseKind.INFERRED);

  private static final Pattern OF_THIS = Pattern.compile("\\bthis\\s*\\.\\s*$");

  private final Program before;
  private final Program after;
  private final Change change;
  private final Provenance provenance;
  private final List<String> breaks = new ArrayList<>();
  private final Set<Use.Place> accounted = new HashSet<>();
  private final Map<Use.Place, WrittenUse> written = new HashMap<>();

  private BindingsKept(Program before, Program after, Change change) {
    this.before = before;
    this.after = after;
    this.change = change;
    this.provenance = new Provenance(change);
  }

  /** What is not as it was; empty where all is. */
  static List<String> breaks(Program before, Program after, Change change) {
    return new BindingsKept(before, after, change).compare();
  }

  private List<String> compare() {
    for (ChangedFile file : change.files()) {
      for (WrittenUse use : file.written()) {
        written.put(new Use.Place(file.path(), use.offset(), use.kind()), use);
      }
    }
    after.uses().all().forEach(this::compare);
    written
        .values()
        .forEach(
            use ->
                broke(
                    "nothing would stand for "
                        + Spoken.of(use.meaning())
                        + " where it was written"));
    for (ChangedFile file : change.files()) {
      for (Replacement.Dropped dropped : file.dropped()) {
        account(dropped.use());
      }
    }
    before.uses().all().filter(use -> !accounted.contains(use.place())).forEach(this::forgotten);
    return breaks;
  }

  private void compare(Use use) {
    Optional<Provenance.Origin> origin = provenance.origin(use.file(), use.offset());
    if (origin.isEmpty()) {
      compareWritten(use);
      return;
    }
    Provenance.Origin old = origin.get();
    Optional<Use> was = before.uses().at(old.file(), old.offset(), use.kind());
    if (was.isEmpty()) {
      if (use.isConstant() && isCarried(old)) {
        // A final variable that is given its value where it stands now; the value was carried, too.
        return;
      }
      broke(place(use) + " would mean " + Spoken.of(use.key()) + ", and was no name before");
      return;
    }
    String expected = expected(was.get(), use, old.run());
    boolean same =
        SHOWING_TYPES.contains(use.kind())
            ? isSameType(expected, use.key(), old.run())
            : expected.equals(use.key());
    if (!same) {
      broke(instead(use, was.get().kind(), Spoken.of(expected)));
    } else if (!isSameType(was.get().type(), use.type(), old.run()) && !isSelf(was.get())) {
      broke(
          "%s would have the type %s instead of %s"
              .formatted(place(use), use.type(), was.get().type()));
    }
    boolean repeated = old.run() != null && old.run().kind() == Run.Kind.COPIED;
    // A method that was repeated as a delegate overrides there, and no longer where it went.
    if (!repeated || use.kind() == UseKind.OVERRIDES) {
      account(was.get().place());
    }
  }

  private boolean isSameType(String before, String now, Run run) {
    String typed = run == null || run.self() == null ? before : run.self().typed(before);
    return change.isSameType(before, now) || change.isSameType(typed, now);
  }

  private static boolean isCarried(Provenance.Origin origin) {
    return origin.run() != null && origin.run().kind() == Run.Kind.CARRIED;
  }

  private String expected(Use was, Use use, Run run) {
    String moved = change.becameForSelf().get(was.key());
    if (moved != null && run != null && run.self() != null && isAskedOfSelf(was, run.self())) {
      return moved;
    }
    return was.isReceiver() && isOfMovedMember(was, use, run)
        ? provenance.receiver(was.key(), use.file(), run)
        : provenance.image(was.key(), use.file(), run);
  }

  /** Whether the member that is asked for has moved along, so that another object has it now. */
  private boolean isOfMovedMember(Use was, Use use, Run run) {
    Optional<Use> name = before.uses().at(was.file(), was.offset(), UseKind.NAME);
    return name.isEmpty() || !expected(name.get(), use, run).equals(name.get().key());
  }

  /**
   * The type of an instance that moved is another, as its key has told already; and what is asked
   * of {@code super} is looked at by itself, be there another class between.
   */
  private static boolean isSelf(Use use) {
    return use.key().startsWith("this of ") || use.key().startsWith("super of ");
  }

  private boolean isAskedOfSelf(Use was, Self self) {
    Optional<Use> receiver = before.uses().at(was.file(), was.offset(), UseKind.RECEIVER);
    if (receiver.isPresent()) {
      return receiver.get().key().equals(Symbols.typeKey(self.oldType()));
    }
    String text = before.unit(was.file()).orElseThrow().source().text();
    return was.isDoc()
        ? text.charAt(was.offset()) == '#'
        : OF_THIS.matcher(text.substring(Math.max(0, was.offset() - 200), was.offset())).find();
  }

  private void compareWritten(Use use) {
    WrittenUse meant = written.remove(use.place());
    if (meant == null) {
      boolean plainSuper = use.kind() == UseKind.IMPLICIT_SUPER && PLAIN.contains(use.key());
      if (!plainSuper && !OF_NEW.contains(use.kind())) {
        broke(place(use) + " would mean " + Spoken.of(use.key()) + ", which nobody meant");
      }
      return;
    }
    if (!isMeant(meant.meaning(), use)) {
      broke(instead(use, use.kind(), Spoken.of(meant.meaning())));
    }
    meant.standsFor().ifPresent(this::account);
  }

  private boolean isMeant(Meaning meaning, Use use) {
    if (meaning instanceof Meaning.Symbol symbol) {
      return symbol.key().equals(use.key());
    }
    if (meaning instanceof Meaning.Existing existing) {
      return provenance.image(existing.key(), use.file(), null).equals(use.key());
    }
    return isLocal(((Meaning.Local) meaning).name(), use);
  }

  /** Whether a use means a variable of this name that is declared in the file's own text. */
  private boolean isLocal(String name, Use use) {
    String prefix = "local @{" + use.file() + ":";
    if (!use.key().startsWith(prefix)) {
      return false;
    }
    int offset = Integer.parseInt(use.key().substring(prefix.length(), use.key().length() - 1));
    String text = after.unit(use.file()).orElseThrow().source().text();
    return text.startsWith(name, offset);
  }

  private void account(Use.Place place) {
    if (!accounted.add(place)) {
      broke(before(place) + " would be there twice");
    }
  }

  private void forgotten(Use use) {
    broke(
        before(use.place())
            + (use.isConstant()
                ? " would be no constant any more"
                : ", which means " + Spoken.of(use.key()) + ", was forgotten"));
  }

  private void broke(String what) {
    breaks.add(what);
  }

  private String instead(Use use, UseKind kind, String expected) {
    String verb =
        switch (kind) {
          case NAME, CREATION, DOC -> "mean";
          case OVERRIDES -> "override";
          case IMPLICIT_SUPER -> "begin with";
          default -> "rest on";
        };
    return "%s would %s %s instead of %s"
        .formatted(place(use), verb, Spoken.of(use.key()), expected);
  }

  private String place(Use use) {
    return after.unit(use.file()).orElseThrow().source().place(use.offset())
        + " "
        + word(after, use.place());
  }

  private String before(Use.Place place) {
    return before.unit(place.file()).orElseThrow().source().place(place.offset())
        + " "
        + word(before, place);
  }

  private static String word(Program program, Use.Place place) {
    String text = program.unit(place.file()).orElseThrow().source().text();
    int end = place.offset();
    while (end < text.length() && Character.isJavaIdentifierPart(text.charAt(end))) {
      end++;
    }
    return end == place.offset() ? "what stands there" : text.substring(place.offset(), end);
  }
}
