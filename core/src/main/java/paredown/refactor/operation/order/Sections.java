package paredown.refactor.operation.order;

import com.sun.source.tree.Tree;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import paredown.refactor.code.MemberRange;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;
import paredown.text.Token;

/** The sections of a class: methods on lines of their own with no comment alone between them. */
final class Sections {
  private final OwnerClass owner;
  private final SourceText source;
  private final List<MemberRange> members = new ArrayList<>();

  Sections(OwnerClass owner) {
    this.owner = owner;
    this.source = owner.source();
    for (Tree member : owner.tree().getMembers()) {
      int start = owner.trees().start(member);
      int end = owner.trees().end(member);
      if (start >= 0 && end >= 0) {
        members.add(MemberRange.of(source, start, end));
      }
    }
  }

  /** The methods of each, in the order of the text. */
  List<List<OwnerClass.Method>> all() {
    List<List<OwnerClass.Method>> all = new ArrayList<>();
    List<OwnerClass.Method> section = new ArrayList<>();
    List<OwnerClass.Method> methods =
        owner.methods().stream()
            .filter(this::hasLines)
            .sorted(Comparator.comparingInt(method -> method.range().start()))
            .toList();
    for (OwnerClass.Method method : methods) {
      boolean apart =
          !section.isEmpty()
              && hasComment(section.get(section.size() - 1).range().end(), method.range().start());
      if (apart) {
        all.add(section);
        section = new ArrayList<>();
      }
      section.add(method);
    }
    all.add(section);
    return all;
  }

  private boolean hasLines(OwnerClass.Method method) {
    int start = method.range().start();
    int end = method.range().end();
    return start == source.lineStart(start) && end == source.lineStart(end) && end > start;
  }

  /** Whether a comment between two places belongs to no member. */
  private boolean hasComment(int from, int to) {
    for (int i = source.tokenAt(from); i < source.tokens().size(); i++) {
      Token token = source.tokens().get(i);
      if (token.start() >= to) {
        return false;
      }
      boolean owned =
          members.stream()
              .anyMatch(each -> each.start() <= token.start() && token.end() <= each.end());
      if (token.kind().isComment() && token.start() >= from && !owned) {
        return true;
      }
    }
    return false;
  }
}
