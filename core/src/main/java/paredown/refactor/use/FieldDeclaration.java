package paredown.refactor.use;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.MemberRange;
import paredown.text.SourceText;
import paredown.text.Token;

/**
 * A declaration of fields, of which some leave: {@code int taken, limit;} declares two.
 *
 * @param fields all that it declares, in their order
 * @param leaving those that leave, at least one
 */
public record FieldDeclaration(
    OwnerClass owner, List<OwnerClass.Field> fields, List<OwnerClass.Field> leaving) {

  /** The declarations of some fields, in the order of the text. */
  public static List<FieldDeclaration> of(OwnerClass owner, List<OwnerClass.Field> leaving) {
    Map<MemberRange, List<OwnerClass.Field>> byRange = new LinkedHashMap<>();
    for (OwnerClass.Field field : leaving) {
      byRange.computeIfAbsent(field.range(), range -> new ArrayList<>()).add(field);
    }
    List<FieldDeclaration> declarations = new ArrayList<>();
    byRange.forEach(
        (range, some) -> {
          List<OwnerClass.Field> all =
              owner.fields().stream().filter(field -> field.range().equals(range)).toList();
          declarations.add(new FieldDeclaration(owner, all, some));
        });
    return declarations;
  }

  /**
   * Requires that a field is declared alone.
   *
   * @param what cannot be done, a participle: {@code inlined}
   * @throws Refused where others are declared with it
   */
  public static void requireAlone(OwnerClass owner, OwnerClass.Field field, String what) {
    if (!of(owner, List.of(field)).get(0).isWhole()) {
      throw Refused.advising(
          RefusalKind.SHARED_DECLARATION,
          "%s cannot be %s: it is declared together with other fields."
              .formatted(field.name(), what),
          "Declare it in a statement of its own first.",
          owner.trees().place(field.tree()));
    }
  }

  public MemberRange range() {
    return fields.get(0).range();
  }

  /** Whether all of its fields leave, and the declaration with them. */
  public boolean isWhole() {
    return leaving.size() == fields.size();
  }

  /** The range of a field within its declaration, its name and its initialiser. */
  public int[] declarator(OwnerClass.Field field) {
    SourceText source = owner.source();
    int end = owner.trees().end(field.tree());
    int last = field.declared();
    for (int i = source.tokenAt(field.declared()); i < source.tokens().size(); i++) {
      Token token = source.tokens().get(i);
      boolean parts = token.end() == end && ",;".indexOf(source.text().charAt(token.start())) >= 0;
      if (parts || token.start() >= end) {
        break;
      }
      last = token.kind().isComment() ? last : token.end();
    }
    return new int[] {field.declared(), last};
  }

  /**
   * What goes where some fields leave and others stay: their declarators with the commas.
   *
   * @throws Refused where a comment would be lost
   */
  public List<int[]> removals() {
    List<int[]> removals = new ArrayList<>();
    int kept = 0;
    while (leaving.contains(fields.get(kept))) {
      removals.add(new int[] {fields.get(kept).declared(), fields.get(kept + 1).declared()});
      kept++;
    }
    for (int i = kept + 1; i < fields.size(); i++) {
      if (leaving.contains(fields.get(i))) {
        removals.add(new int[] {declarator(fields.get(i - 1))[1], declarator(fields.get(i))[1]});
      }
    }
    removals.forEach(this::requireNoComment);
    return removals;
  }

  private void requireNoComment(int[] range) {
    SourceText source = owner.source();
    for (int i = source.tokenAt(range[0]); i < source.tokens().size(); i++) {
      Token token = source.tokens().get(i);
      if (token.start() >= range[1]) {
        return;
      }
      if (token.kind().isComment()) {
        throw Refused.of(
            RefusalKind.SHARED_DECLARATION,
            leaving.get(0).name(),
            "there is a comment between the two",
            source.place(token.start()));
      }
    }
  }
}
