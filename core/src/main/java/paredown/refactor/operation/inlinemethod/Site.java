package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Self;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.UseKind;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.OwnerClass;

/** What the code of a method says otherwise where one call of it stands. */
final class Site {
  private final OwnerClass owner;
  private final Program program;
  private final UnitTrees trees;
  private final BodyNames names;
  private final Call call;
  private final Given values;
  private final TypeNames types;
  private final TypesThere there;
  private final SiteNames chosen;
  private final MovedUses uses;
  private final List<Replacement> edits = new ArrayList<>();

  /**
   * A site of a call.
   *
   * @param taken the names that other sites have given to variables around the call
   * @param first whether the code moves there; else it is repeated
   */
  Site(
      OwnerClass owner,
      BodyNames names,
      Call call,
      Given values,
      TypeNames types,
      TypesThere there,
      Set<String> taken,
      boolean first) {
    this.owner = owner;
    this.program = owner.program();
    this.trees = owner.trees();
    this.names = names;
    this.call = call;
    this.values = values;
    this.types = types;
    this.there = there;
    this.chosen = new SiteNames(names, call, values, taken);
    this.uses = new MovedUses(trees, first);
    write();
  }

  /** The names that its variables have here. */
  SiteNames names() {
    return chosen;
  }

  /** The name of the variable that holds a value. */
  String nameOf(Value value) {
    return chosen.of(value);
  }

  private boolean isWithinOwner() {
    return call.isWithin(owner.element());
  }

  /** What the object of the code has become, and its type variables; null where all is the same. */
  Self self() {
    boolean below = values.object() == null && !isWithinOwner() && !names.selves().isEmpty();
    String self = owner.binaryName();
    return below || !there.shown().isEmpty()
        ? new Self(self, below ? program.symbols().binary(call.type()) : self, there.shown())
        : null;
  }

  private void write() {
    for (Map.Entry<Element, TreePath> each : names.declared().entrySet()) {
      if (chosen.isRenamed(each.getKey())) {
        rename(each.getKey(), each.getValue());
      }
    }
    values.arguments().forEach(this::put);
    values.collectedUses().forEach(use -> putAll(values.collected(), use));
    edits.addAll(new AskedThere(owner, names, call, values, chosen, uses).edits());
    edits.addAll(there.edits(names.typeVariables(), types, uses));
    edits.addAll(there.asked(names.askedOfVariables(), uses));
    boolean home = isWithinOwner();
    CodeElsewhere elsewhere = new CodeElsewhere(trees, types, call.type(), uses.first());
    for (TreePath each : names.statics()) {
      String name = ((IdentifierTree) each.getLeaf()).getName().toString();
      boolean shadowed = trees.element(each).getKind().isField() && chosen.isOfCaller(name);
      if (!home || shadowed) {
        edits.add(elsewhere.qualified(each));
      }
    }
    if (!home) {
      names.types().forEach(each -> edits.add(elsewhere.type(each)));
    }
  }

  private void rename(Element variable, TreePath declaration) {
    String name = chosen.of(variable);
    int offset = trees.names().of((VariableTree) declaration.getLeaf());
    int end = offset + variable.getSimpleName().length();
    edits.add(new Replacement(offset, end, List.of(Written.plain(name)), List.of()));
    for (TreePath use : names.uses(variable)) {
      local(use, name);
    }
  }

  private void local(TreePath use, String name) {
    int start = trees.start(use.getLeaf());
    Written written = Written.text("").local(name, uses.standsFor(start)).done();
    edits.add(new Replacement(start, trees.end(use.getLeaf()), List.of(written), List.of()));
  }

  /** Puts an argument, or the variable that holds it, where the code names its parameter. */
  private void put(Value value) {
    for (TreePath use : value.uses()) {
      if (value.needsVariable()) {
        local(use, chosen.of(value));
      } else {
        int start = trees.start(use.getLeaf());
        List<Piece> pieces = value.inPlace().at(trees, use, use == value.uses().get(0));
        edits.add(
            new Replacement(
                start,
                trees.end(use.getLeaf()),
                pieces,
                uses.dropped(uses.at(start, UseKind.NAME)),
                "the call gives it this"));
      }
    }
  }

  /** Puts all that an array would take where the code passes it on. */
  private void putAll(List<Value> all, TreePath use) {
    int start = trees.start(use.getLeaf());
    List<Piece> pieces = new ArrayList<>();
    for (Value each : all) {
      pieces.add(Written.plain(pieces.isEmpty() ? "" : ", "));
      if (each.needsVariable()) {
        pieces.add(Written.text("").local(chosen.of(each)).done());
      } else {
        pieces.addAll(each.inPlace().at(trees, use, use == each.uses().get(0)));
      }
    }
    int from = all.isEmpty() ? behindOther(use) : start;
    int end = trees.end(use.getLeaf());
    List<Replacement.Dropped> gone = uses.dropped(uses.at(start, UseKind.NAME));
    edits.add(new Replacement(from, end, pieces, gone, "the call gives it these"));
  }

  /** Where the argument in front of another ends, so that the comma goes with that. */
  private int behindOther(TreePath use) {
    List<? extends Tree> given = Collected.given(use.getParentPath().getLeaf());
    return given.size() == 1 ? trees.start(use.getLeaf()) : trees.end(given.get(given.size() - 2));
  }

  /** The edits within a range of the code. */
  List<Replacement> within(int start, int end) {
    return edits.stream().filter(each -> each.isWithin(start, end)).toList();
  }

  /** The values that are carried into the code, so that they leave the call. */
  List<Piece> carriedValues() {
    List<Piece> carried = new ArrayList<>();
    for (Value each : values.all()) {
      boolean used = each.needsVariable() || !each.uses().isEmpty();
      Optional.of(each)
          .filter(value -> used)
          .map(Value::inPlace)
          .ifPresent(value -> carried.add(value.carried()));
    }
    return carried;
  }
}
