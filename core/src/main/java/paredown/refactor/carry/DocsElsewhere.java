package paredown.refactor.carry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.code.DocReference;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.TypeNames;

/**
 * The references of a comment that goes to another class, by the names that they have there.
 *
 * @param trees of the file that the comment is from
 * @param names writes types there
 * @param scope the class that it goes to
 * @param moved the keys of the members that go there, and those that they have then
 */
public record DocsElsewhere(
    UnitTrees trees, TypeNames names, TypeElement scope, Map<String, String> moved) {

  /** What the comments within a range say otherwise there. */
  public List<Replacement> edits(int start, int end) {
    List<Replacement> edits = new ArrayList<>();
    for (Use use : trees.program().uses().within(trees.path(), start, end)) {
      if (use.isDoc()) {
        reference(use, edits);
      }
    }
    return edits;
  }

  private void reference(Use use, List<Replacement> edits) {
    int behind = DocReference.end(trees.source(), use.offset());
    String said = trees.source().slice(use.offset(), behind);
    String member = said.contains("#") ? said.substring(said.indexOf('#')) : "";
    String word = said.substring(0, said.length() - member.length());
    String key = moved.get(use.key());
    TypeElement type = type(use.key());
    boolean stays = key == null && (type == null || word.isEmpty() && isKnown(type));
    if (stays) {
      return;
    }
    String known = key != null ? "" : names.knownOrFull(type, scope);
    if (known.equals(word)) {
      return;
    }
    Written.Text text = Written.text("");
    if (key != null) {
      text.here(UseKind.DOC, key, use.place());
    } else {
      text.hereStill(UseKind.DOC, use.key(), use.place());
    }
    edits.add(Replacement.of(use.offset(), behind, text.text(known + member).done()));
  }

  /** Whether the new class has a member itself or in a class within, or inherits it. */
  private boolean isKnown(TypeElement home) {
    return CodeElsewhere.isOf(home, scope) || trees.program().supertypes(scope).contains(home);
  }

  private TypeElement type(String symbol) {
    Program program = trees.program();
    String binary = symbol.replaceAll("^\\S+ ", "").replaceAll("[#(].*", "");
    return program.elements().getTypeElement(binary.replace('$', '.'));
  }
}
