package paredown.refactor.use;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Words;

/** Refuses where a file that is not Java names what leaves its class. */
public final class OutsideNames {
  private static final Pattern ACCESSOR = Pattern.compile("(?:get|is|set)(\\p{Lu}.*)");

  private OutsideNames() {}

  /**
   * Refuses where one is found, unless that does not matter.
   *
   * @param members simple names
   */
  public static void requireNone(OwnerClass owner, List<String> members, Overruled overruled) {
    Set<String> words = new LinkedHashSet<>(members);
    for (String member : members) {
      Matcher accessor = ACCESSOR.matcher(member);
      if (accessor.matches()) {
        // Of a name that begins with several capitals, a property may have either.
        words.add(Words.decapitalised(accessor.group(1)));
        words.add(
            accessor.group(1).substring(0, 1).toLowerCase(Locale.ROOT)
                + accessor.group(1).substring(1));
      }
    }
    Optional<String> place =
        owner
            .program()
            .sources()
            .others()
            .naming(owner.element().getQualifiedName().toString(), words);
    if (place.isPresent() && !overruled.overrules(RefusalKind.NAMED_ELSEWHERE)) {
      throw Refused.advising(
          RefusalKind.NAMED_ELSEWHERE,
          "%s of %s cannot leave: a file that is not Java names it."
              .formatted(String.join(", ", members), owner.writtenName()),
          "If it means something else there, or you change it, too, say --accept named-elsewhere.",
          place.get());
    }
  }
}
