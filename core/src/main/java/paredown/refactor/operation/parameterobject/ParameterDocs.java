package paredown.refactor.operation.parameterobject;

import com.sun.source.doctree.DocTree;
import com.sun.source.doctree.ParamTree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import paredown.refactor.code.ParameterTags;

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
    return new ParameterTags(head.trees(), head.path()).ranges(names(head));
  }

  private static List<String> names(Head head) {
    List<String> names = new ArrayList<>();
    for (int i = 0; i < head.positions().size(); i++) {
      names.add(head.parameter(i).getSimpleName().toString());
    }
    return names;
  }

  private static List<ParamTree> tags(Head head) {
    return new ParameterTags(head.trees(), head.path()).of(names(head));
  }
}
