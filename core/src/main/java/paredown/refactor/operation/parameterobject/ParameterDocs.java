package paredown.refactor.operation.parameterobject;

import com.sun.source.doctree.DocCommentTree;
import com.sun.source.doctree.DocTree;
import com.sun.source.doctree.ParamTree;
import com.sun.source.util.DocSourcePositions;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import paredown.text.SourceText;

/** What the comments of heads say of the parameters, in tags that have their lines alone. */
final class ParameterDocs {
  private ParameterDocs() {}

  /** What is said first of each component, where it is plain text; none where it says nothing. */
  static Map<String, String> remarks(Signatures signatures) {
    Map<String, String> remarks = new LinkedHashMap<>();
    for (Component component : signatures.components()) {
      for (Head head : signatures.heads()) {
        Optional<String> text = remark(head, component.name());
        if (text.isPresent()) {
          remarks.put(component.name(), text.get());
          break;
        }
      }
    }
    return remarks;
  }

  private static Optional<String> remark(Head head, String parameter) {
    return tags(head).stream()
        .filter(each -> each.getName().getName().contentEquals(parameter))
        .map(ParamTree::getDescription)
        .filter(parts -> parts.stream().allMatch(each -> each.getKind() == DocTree.Kind.TEXT))
        .map(parts -> String.join("", parts.stream().map(Object::toString).toList()))
        .map(text -> text.replaceAll("\\s+", " ").strip())
        .filter(
            text -> !text.isEmpty() && !text.contains("*/") && text.chars().allMatch(c -> c < 128))
        .findFirst();
  }

  /** Where the tags of the components stand, from their signs to the ends of their texts. */
  static List<int[]> ranges(Head head) {
    List<int[]> ranges = new ArrayList<>();
    DocCommentTree comment = head.trees().program().trees().getDocCommentTree(head.path());
    DocSourcePositions positions = head.trees().program().trees().getSourcePositions();
    SourceText source = head.trees().source();
    for (ParamTree tag : tags(head)) {
      int start = (int) positions.getStartPosition(head.trees().unit().tree(), comment, tag);
      int end = (int) positions.getEndPosition(head.trees().unit().tree(), comment, tag);
      while (end > start && Character.isWhitespace(source.text().charAt(end - 1))) {
        end--;
      }
      int next = source.nextLine(Math.max(start, end - 1));
      String before = source.slice(source.lineStart(start), start).strip();
      boolean alone = before.equals("*") && source.slice(end, next).isBlank();
      if (alone) {
        ranges.add(new int[] {start, end});
      }
    }
    return ranges;
  }

  private static List<ParamTree> tags(Head head) {
    DocCommentTree comment = head.trees().program().trees().getDocCommentTree(head.path());
    if (comment == null) {
      return List.of();
    }
    List<String> names = new ArrayList<>();
    for (int i = 0; i < head.positions().size(); i++) {
      names.add(head.parameter(i).getSimpleName().toString());
    }
    return comment.getBlockTags().stream()
        .filter(ParamTree.class::isInstance)
        .map(ParamTree.class::cast)
        .filter(each -> !each.isTypeParameter())
        .filter(each -> names.contains(each.getName().getName().toString()))
        .toList();
  }
}
