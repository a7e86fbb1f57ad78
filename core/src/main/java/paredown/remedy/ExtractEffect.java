package paredown.remedy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import paredown.edit.Change;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.Size;
import paredown.refactor.operation.extractclass.ExtractClass;

/** What a class has less when a part of it becomes a class of its own. */
final class ExtractEffect {
  private ExtractEffect() {}

  static Effect of(TypeFact type, ExtractClass refactoring, Change change) {
    int fields = type.instanceFields().size();
    int logic = (int) Size.methodsWithLogic(type);
    int branches = Size.weightedMethods(type);
    Set<String> going = new HashSet<>(refactoring.methods());
    Set<String> delegates = new HashSet<>();
    change.report().delegates().forEach(each -> delegates.add(each.replace(" ", "")));
    int movedBranches = 0;
    int movedLogic = 0;
    for (MethodFact method : type.methods()) {
      if (going.contains(method.signature())) {
        movedLogic += Size.hasLogic(method) ? 1 : 0;
        boolean stays = delegates.contains(method.signature().replace(" ", ""));
        movedBranches += method.branches() - (stays ? 1 : 0);
      }
    }
    List<Effect.Figure> figures = new ArrayList<>();
    figures.add(new Effect.Figure("fields", fields, fields - fewerFields(type, refactoring)));
    figures.add(new Effect.Figure("methods with logic", logic, logic - movedLogic));
    figures.add(new Effect.Figure("ways through its methods", branches, branches - movedBranches));
    figures.removeIf(each -> each.before() == each.after());
    return new Effect(figures, Price.of(change, 1));
  }

  /** How many fields objects have less, with the one for the new object. */
  static int fewerFields(TypeFact type, ExtractClass refactoring) {
    int going =
        (int)
            type.instanceFields().stream()
                .filter(field -> refactoring.fields().contains(field.name()))
                .count();
    return going == 0 ? 0 : going - 1;
  }
}
