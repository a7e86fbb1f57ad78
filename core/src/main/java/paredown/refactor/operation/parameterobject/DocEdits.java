package paredown.refactor.operation.parameterobject;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.refactor.code.ReferencedTypes;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.text.Listed;
import paredown.text.SourceText;

/** What comments say of the parameters, and how they name the heads. */
final class DocEdits {
  private final Program program;
  private final Signatures signatures;
  private final ObjectType type;
  private final EditList edits;

  DocEdits(Program program, Signatures signatures, ObjectType type, EditList edits) {
    this.program = program;
    this.signatures = signatures;
    this.type = type;
    this.edits = edits;
  }

  void add() {
    signatures.heads().forEach(this::tags);
    Map<String, Head> byKey = new LinkedHashMap<>();
    signatures.heads().forEach(head -> byKey.put(program.symbols().key(head.element()), head));
    for (Unit unit : program.units()) {
      program
          .uses()
          .in(unit.path())
          .filter(use -> use.isDoc() && byKey.containsKey(use.key()))
          .forEach(use -> reference(use, new UnitTrees(program, unit), byKey.get(use.key())));
    }
  }

  /** The tags of the parameters become one, which says what the object holds. */
  private void tags(Head head) {
    List<int[]> tags = ParameterDocs.ranges(head);
    UnitTrees trees = head.trees();
    SourceText source = trees.source();
    boolean first = true;
    for (int[] tag : tags) {
      if (first) {
        String text =
            "@param %s the %s"
                .formatted(
                    head.object(),
                    Listed.of(signatures.components().stream().map(Component::name).toList()));
        edits.add(
            trees.path(),
            Rewriting.of(trees, tag[0], tag[1], "the object has a tag", Written.plain(text)));
      } else {
        int start = source.lineStart(tag[0]);
        int end = source.nextLine(Math.max(tag[0], tag[1] - 1));
        edits.add(trees.path(), Rewriting.of(trees, start, end, "the object has a tag"));
      }
      first = false;
    }
  }

  /** A reference that says the types of the parameters says the new ones. */
  private void reference(Use use, UnitTrees trees, Head head) {
    ReferencedTypes.in(trees.source(), use, head.element().getParameters().size())
        .ifPresent(said -> edits.add(trees.path(), said.saying(types(said, trees, head))));
  }

  private List<String> types(ReferencedTypes said, UnitTrees trees, Head head) {
    List<String> now = new ArrayList<>();
    for (int i = 0; i < said.types().size(); i++) {
      if (i == head.first()) {
        now.add(
            new TypeNames(trees, program.symbols()::key).knownOrFull(type.element(), head.owner()));
      } else if (!head.positions().contains(i)) {
        now.add(said.types().get(i));
      }
    }
    return now;
  }
}
