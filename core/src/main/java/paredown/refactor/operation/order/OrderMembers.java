package paredown.refactor.operation.order;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.Indent;
import paredown.edit.Replacement;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.OwnerClass;
import paredown.text.Counted;

/**
 * Order members puts the methods of a type in the order in which they are read: each above those
 * that it calls, these in the order of the calls, plain accessors last. All else stays where it is:
 * fields and initialisers, so that they run in their order, constructors and nested types. Methods
 * do not pass a comment that stands alone, since it heads what follows.
 *
 * @param type the type, in any form that one type of the project answers to
 */
public record OrderMembers(String type) implements Refactoring {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    return new Rounds(sources, index)
        .ofClass(type, Set.of(), owner -> new Rounds.Outcome(Set.of(), () -> change(owner)));
  }

  private Change change(OwnerClass owner) {
    Program program = owner.program();
    Set<String> files = Set.of(owner.trees().path());
    EditList edits = new EditList();
    Map<OwnerClass.Method, Integer> ranks = new HashMap<>();
    List<OwnerClass.Method> reading = new ReadingOrder(owner).methods();
    new MeantByDocs(owner).kept(reading).forEach(method -> ranks.put(method, ranks.size()));
    int moved = 0;
    for (List<OwnerClass.Method> section : new Sections(owner).all()) {
      List<OwnerClass.Method> sorted = new ArrayList<>(section);
      sorted.sort(Comparator.comparingInt(ranks::get));
      for (int i = 0; i < section.size(); i++) {
        if (section.get(i) != sorted.get(i)) {
          edits.add(owner.trees().path(), put(owner, sorted.get(i), section.get(i)));
          moved++;
        }
      }
    }
    if (moved == 0) {
      throw new UnusableRequest(
          "The methods of %s are in reading order already.".formatted(owner.writtenName()),
          "There is nothing to do.");
    }
    OnlookersFromOutside.assume(owner, List.of());
    return new Change(
        "%s of %s %s another place: callers above what they call, accessors last."
            .formatted(
                Counted.of(moved, "method", "methods"),
                owner.writtenName(),
                moved == 1 ? "gets" : "get"),
        new EditedFiles(program).of(edits),
        Map.of(),
        Map.of(),
        files,
        new Change.Report(List.of(), List.of(), List.of(), List.of())
            .assuming(owner.assumptions().all()));
  }

  /** A method in the place of another. */
  private static Replacement put(
      OwnerClass owner, OwnerClass.Method method, OwnerClass.Method place) {
    return Replacement.of(
        place.range().start(),
        place.range().end(),
        new Carried(
            owner.trees().path(),
            method.range().start(),
            method.range().end(),
            List.of(),
            Indent.SAME,
            null));
  }

  @Override
  public String command() {
    return "pare order members " + Arguments.quoted(type);
  }

  @Override
  public String says() {
    return "order the members of " + type.substring(type.lastIndexOf('.') + 1);
  }
}
