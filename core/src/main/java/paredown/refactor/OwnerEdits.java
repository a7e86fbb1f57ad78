package paredown.refactor;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javax.lang.model.type.TypeKind;
import paredown.edit.Carried;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.text.SourceText;
import paredown.text.Token;

/** What happens to the old class itself: members leave, a holder comes, constructors fill it. */
final class OwnerEdits {
  private final OwnerClass owner;
  private final ExtractedMembers members;
  private final SourceText source;
  private final Layout layout;
  private final Holder holder;

  OwnerEdits(OwnerClass owner, ExtractedMembers members) {
    this.owner = owner;
    this.members = members;
    this.source = owner.source();
    this.layout = Layout.of(owner);
    this.holder = members.holder();
  }

  void collect(Map<String, List<Replacement>> edits) {
    List<Replacement> own = edits.computeIfAbsent(owner.trees().path(), file -> new ArrayList<>());
    leave(own);
    members.delegates().forEach(method -> own.add(delegate(method)));
    members.construction().builds().forEach(build -> construct(build, own));
  }

  private void leave(List<Replacement> own) {
    List<MemberRange> ranges = new ArrayList<>();
    members.fields().forEach(field -> ranges.add(field.range()));
    members.methods().stream()
        .filter(method -> !members.delegates().contains(method))
        .forEach(method -> ranges.add(method.range()));
    int first = members.fields().get(0).range().start();
    for (int[] range : MemberRange.merged(source, ranges)) {
      if (range[0] <= first && first < range[1]) {
        own.add(Replacement.of(range[0], range[1], declaration(range)));
      } else {
        int[] wide = MemberRange.withGap(source, range);
        own.add(Replacement.removal(wide[0], wide[1]));
      }
    }
  }

  private Written declaration(int[] range) {
    boolean lines = range[0] == source.lineStart(range[0]);
    Written.Text text =
        Written.text(lines ? layout.member() : "")
            .text(holder.modifiers())
            .name(holder.simpleType(), holder.typeKey())
            .text(" " + holder.name());
    if (members.construction().atDeclaration()) {
      text.text(" = ");
      creation(text).text("()");
    }
    boolean endsLine =
        source.text().charAt(range[1] - 1) == '\n' || source.text().charAt(range[1] - 1) == '\r';
    return text.text(";" + (endsLine ? layout.lineEnd() : "")).done();
  }

  private Written.Text creation(Written.Text text) {
    List<String> types =
        members.construction().parameters().stream()
            .map(field -> owner.program().types().erasure(field.element().asType()).toString())
            .toList();
    return text.here(UseKind.CREATION, Symbols.constructorKey(holder.typeName(), types))
        .text("new ")
        .name(holder.simpleType(), holder.typeKey());
  }

  /** The signature stays as it was; the body only forwards. */
  private Replacement delegate(OwnerClass.Method method) {
    int body = owner.trees().start(method.tree().getBody());
    String indent = source.indentAt(method.range().declaration());
    boolean fluent = Fluent.is(owner, method);
    boolean returns = method.element().getReturnType().getKind() != TypeKind.VOID && !fluent;
    Written.Text text =
        Written.text("{" + layout.lineEnd() + indent + layout.unit() + (returns ? "return " : ""))
            .here(UseKind.RECEIVER, Symbols.typeKey(owner.binaryName()))
            .name(holder.name(), holder.key())
            .text(".")
            .name(method.name(), members.newKey(method))
            .text("(");
    String separator = "";
    for (var parameter : method.tree().getParameters()) {
      text.text(separator).local(parameter.getName().toString());
      separator = ", ";
    }
    text.text(");" + layout.lineEnd());
    if (fluent) {
      text.text(indent + layout.unit() + "return ")
          .name("this", "this of " + holder.ownerType())
          .text(";" + layout.lineEnd());
    }
    text.text(indent + "}");
    return Replacement.of(
        method.range().declaration(),
        method.range().declarationEnd(),
        new Copied(owner.trees().path(), method.range().declaration(), body, List.of()),
        text.done());
  }

  private void construct(Construction.Build build, List<Replacement> own) {
    List<Construction.Assigned> assignments = build.assignments();
    Construction.Assigned last = assignments.get(assignments.size() - 1);
    for (Construction.Assigned each : assignments) {
      requireNoComments(each);
      int start = owner.trees().start(each.statement());
      int end = owner.trees().end(each.statement());
      if (each == last) {
        own.add(new Replacement(start, end, making(build, each), dropped(each)));
      } else {
        boolean line =
            source.startsLine(start)
                && source.endsLine(end)
                && source.line(start) == source.line(end - 1);
        own.add(
            new Replacement(
                line ? source.lineStart(start) : start,
                line ? source.nextLine(end - 1) : end,
                List.of(),
                dropped(each)));
      }
    }
  }

  private void requireNoComments(Construction.Assigned assigned) {
    int start = owner.trees().start(assigned.statement());
    int end = owner.trees().end(assigned.statement());
    for (int i = source.tokenAt(start); i < source.tokens().size(); i++) {
      Token token = source.tokens().get(i);
      if (token.start() >= end) {
        break;
      }
      if (token.kind().isComment()) {
        throw Refused.of(
            RefusalKind.CONSTRUCTOR_SHAPE,
            assigned.field().name(),
            "there is a comment within the assignment",
            source.place(token.start()));
      }
    }
  }

  private List<Replacement.Dropped> dropped(Construction.Assigned assigned) {
    int start = owner.trees().start(assigned.statement());
    int value = owner.trees().start(assigned.value().getLeaf());
    return owner.program().uses().within(owner.trees().path(), start, value).stream()
        .map(use -> new Replacement.Dropped(use.place(), "the assignment became an argument"))
        .toList();
  }

  private List<Piece> making(Construction.Build build, Construction.Assigned last) {
    List<Piece> pieces = new ArrayList<>();
    boolean throughThis = source.text().startsWith("this", owner.trees().start(last.statement()));
    Written.Text text = Written.text("");
    if (throughThis) {
      text.name("this", "this of " + holder.ownerType()).text(".");
    } else {
      text.here(UseKind.RECEIVER, Symbols.typeKey(holder.ownerType()));
    }
    text.name(holder.name(), holder.key()).text(" = ");
    creation(text).text("(");
    pieces.add(text.done());
    List<String> values = new ArrayList<>();
    Map<OwnerClass.Field, Construction.Assigned> byField =
        build.assignments().stream()
            .collect(Collectors.toMap(Construction.Assigned::field, each -> each));
    for (OwnerClass.Field field : members.construction().parameters()) {
      values.add(slice(byField.get(field)));
    }
    String indent = source.indentAt(owner.trees().start(last.statement()));
    String made = "this." + holder.name() + " = new " + holder.simpleType() + "();";
    int width =
        indent.length()
            + made.length()
            + values.stream().mapToInt(value -> value.length() + 2).sum();
    String separator =
        width > Layout.WIDTH ? layout.lineEnd() + indent + layout.unit().repeat(2) : "";
    String between = separator.isEmpty() ? ", " : "," + separator;
    String next = separator;
    for (OwnerClass.Field field : members.construction().parameters()) {
      pieces.add(Written.plain(next));
      Construction.Assigned assigned = byField.get(field);
      pieces.add(
          Carried.range(
              owner.trees().path(),
              owner.trees().start(assigned.value().getLeaf()),
              owner.trees().end(assigned.value().getLeaf())));
      next = between;
    }
    pieces.add(Written.plain(");"));
    return pieces;
  }

  private String slice(Construction.Assigned assigned) {
    return source.slice(
        owner.trees().start(assigned.value().getLeaf()),
        owner.trees().end(assigned.value().getLeaf()));
  }
}
