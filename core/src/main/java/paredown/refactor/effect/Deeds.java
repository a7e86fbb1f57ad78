package paredown.refactor.effect;

import com.sun.source.util.TreePath;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;

/**
 * The deeds of a piece of code, each with a place in it, and the fields of the project that it sets
 * or, where they are static, looks at.
 */
public final class Deeds {
  private final Map<Deed, TreePath> places = new EnumMap<>(Deed.class);
  private final Set<Element> fields = new LinkedHashSet<>();
  private final Set<Element> looked = new LinkedHashSet<>();

  Deeds() {}

  void add(Deed deed, TreePath place) {
    places.putIfAbsent(deed, place);
  }

  void sets(Element field, TreePath place) {
    add(Deed.SETS, place);
    fields.add(field);
  }

  void looksAt(Element field) {
    looked.add(field);
  }

  /** Adds what called code does; its own local variables are nobody else's. */
  void addCalled(Deeds called, TreePath place) {
    called.places.keySet().stream()
        .filter(deed -> deed != Deed.SETS_LOCAL)
        .forEach(deed -> add(deed, place));
    fields.addAll(called.fields);
    looked.addAll(called.looked);
  }

  public boolean has(Deed deed) {
    return places.containsKey(deed);
  }

  public boolean hasAny(Set<Deed> deeds) {
    return deeds.stream().anyMatch(this::has);
  }

  /** Where a deed is done, in the code that was looked at; empty where it is not done. */
  public Optional<TreePath> place(Deed deed) {
    return Optional.ofNullable(places.get(deed));
  }

  public Set<Deed> kinds() {
    return Set.copyOf(places.keySet());
  }

  /** The fields of the project that are set. */
  public Set<Element> fields() {
    return Set.copyOf(fields);
  }

  /** The static fields that are looked at or set, but for constants. */
  public Set<Element> lookedAt() {
    return Set.copyOf(looked);
  }
}
