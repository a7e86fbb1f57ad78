package paredown.gate;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.program.Program;
import paredown.text.SourceText;

/** The first two gates: a change compiles, and every name in the affected files means the same. */
public final class Gates {
  private Gates() {}

  /**
   * Checks a change in memory.
   *
   * @param before the affected files as they are
   */
  public static Verdict check(Program before, Change whole) {
    Change change = whole.ofCode();
    Map<String, String> merged = merged(before, change);
    return check(before.calling(merged), change, oldNames(change, merged.keySet()));
  }

  private static Verdict check(Program before, Change change, Map<String, String> oldNames) {
    Map<String, SourceText> texts = new TreeMap<>();
    before.units().forEach(unit -> texts.put(unit.path(), unit.source()));
    change.gone().forEach(texts::remove);
    for (ChangedFile file : change.files()) {
      if (!file.isDeleted()) {
        texts.put(file.path(), file.after());
      }
    }
    if (texts.isEmpty()) {
      // All that it could touch is gone, and nothing is left that could say something else.
      return new Verdict(0, List.of(), 0, List.of(), List.of(), List.of());
    }
    Program after = Program.attribute(change.after(before.sources()), texts).calling(oldNames);
    List<String> errors = Compiles.newErrors(before, after, change);
    List<String> dispatch = new ArrayList<>();
    List<String> breaks = new ArrayList<>();
    List<String> types = new ArrayList<>();
    if (errors.isEmpty()) {
      dispatch.addAll(DispatchKept.breaks(before, after, change));
      breaks.addAll(BindingsKept.breaks(before, after, change));
      StructureKept.Breaks structure = StructureKept.breaks(before, after, change);
      breaks.addAll(structure.structure());
      types.addAll(structure.types());
      breaks.addAll(TokensKept.breaks(before, after, change));
    }
    return new Verdict(texts.size(), errors, after.uses().count(), breaks, types, dispatch);
  }

  /** The types that go, each with the type that was there before and takes its place. */
  private static Map<String, String> merged(Program before, Change change) {
    Map<String, String> merged = new TreeMap<>();
    change
        .renamedTypes()
        .forEach(
            (old, now) -> {
              if (before.elements().getTypeElement(now.replace('$', '.')) != null) {
                merged.put(old, now);
              }
            });
    return merged;
  }

  /** The old name of each type that has one which no type had. */
  private static Map<String, String> oldNames(Change change, Set<String> merged) {
    return change.renamedTypes().entrySet().stream()
        .filter(each -> !merged.contains(each.getKey()))
        .collect(Collectors.toMap(Map.Entry::getValue, Map.Entry::getKey));
  }
}
