package paredown.refactor.operation.inlineclass;

import java.util.Map;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Use;
import paredown.refactor.code.DocReference;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.TypeRemoval;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.DocMentions;
import paredown.refactor.use.OwnerClass;

/** Javadoc that names a type that goes, and its members, by what takes its place. */
final class DocStandIn {
  private final OwnerClass gone;
  private final TypeElement stays;
  private final Map<String, String> keys;
  private final UnaryOperator<String> gates;
  private final Function<UnitTrees, TypeNames> names;
  private final Program program;

  /**
   * @param keys of the members of the type that goes, each with the one that it has then
   * @param gates the key by which the gates know what has none of these
   */
  DocStandIn(
      OwnerClass gone,
      TypeElement stays,
      Map<String, String> keys,
      UnaryOperator<String> gates,
      Function<UnitTrees, TypeNames> names) {
    this.gone = gone;
    this.stays = stays;
    this.keys = keys;
    this.gates = gates;
    this.names = names;
    this.program = gone.program();
  }

  /** The edits of all comments but those that go with the type. */
  void collect(EditList edits) {
    int[] own = TypeRemoval.range(gone);
    DocMentions.of(program, gone.element())
        .forEach(
            (file, offsets) ->
                offsets.stream()
                    .filter(at -> !file.equals(gone.trees().path()) || at < own[0] || own[1] <= at)
                    .forEach(at -> edits.add(file, reference(file, at))));
  }

  private Replacement reference(String file, int at) {
    UnitTrees trees = new UnitTrees(program, program.unit(file).orElseThrow());
    String source = trees.source().text();
    int end = at + gone.element().getSimpleName().length();
    boolean constructor = source.charAt(at - 1) == '#';
    int from = at;
    while (!constructor && DocMentions.isQualifier(source.charAt(from - 1))) {
      from--;
    }
    String said =
        constructor
            ? stays.getSimpleName().toString()
            : names.apply(trees).knownOrFull(stays, null);
    Written.Text text = Written.text("");
    for (Use use : program.uses().within(file, from, from + 1)) {
      String now = keys.get(use.key());
      if (now == null) {
        text.hereStill(use.kind(), gates.apply(use.key()), use.place());
        continue;
      }
      text.here(use.kind(), now, use.place());
      if (now.contains("#")) {
        String whole = source.substring(end, DocReference.end(trees.source(), end));
        said += whole.replaceFirst("#[\\w$]+", now.replaceAll("^.*(#[^(]+).*", "$1"));
        end += whole.length();
      }
    }
    return Replacement.of(from, end, text.text(said).done());
  }
}
