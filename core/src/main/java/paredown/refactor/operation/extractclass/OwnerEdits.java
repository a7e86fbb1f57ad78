package paredown.refactor.operation.extractclass;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.Tree;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javax.lang.model.element.Modifier;
import javax.lang.model.type.TypeKind;
import paredown.edit.Carried;
import paredown.edit.Copied;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.FirstMember;
import paredown.refactor.carry.LastMember;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Rewriting;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.Fluent;
import paredown.refactor.startup.Construction;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.FieldType;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;
import paredown.text.Token;

/** What happens to the old class itself: members leave, a holder comes, constructors fill it. */
final class OwnerEdits {
  private final OwnerClass owner;
  private final ExtractedMembers members;
  private final SourceText source;
  private final Layout layout;
  private final Holder holder;
  private final Optional<ExtractClass.PassIn> passIn;

  OwnerEdits(OwnerClass owner, ExtractedMembers members, Optional<ExtractClass.PassIn> passIn) {
    this.passIn = passIn;
    this.owner = owner;
    this.members = members;
    this.source = owner.source();
    this.layout = Layout.of(owner);
    this.holder = members.holder();
  }

  void collect(EditList edits) {
    List<Replacement> own = edits.of(owner.trees().path());
    leave(own);
    if (!holder.setter().isEmpty()) {
      own.add(setter());
    }
    holder.copied().ifPresent(copy -> own.add(copy.given(holder)));
    members.delegates().forEach(method -> own.add(delegate(method)));
    if (passIn.equals(Optional.of(ExtractClass.PassIn.CONSTRUCTOR))) {
      passIn(own);
    } else {
      members.construction().builds().forEach(build -> construct(build, own));
    }
  }

  /** Constructors that can take the object do; the others go on making it. */
  private void passIn(List<Replacement> own) {
    boolean passed = false;
    for (Construction.Build build : members.construction().builds()) {
      PassedIn taking = new PassedIn(owner, members, build);
      if (taking.fits()) {
        taking.collect(own);
        passed = true;
      } else {
        construct(build, own);
      }
    }
    if (!passed) {
      throw Refused.advising(
          RefusalKind.CONSTRUCTOR_SHAPE,
          "No constructor of %s only sets these fields from parameters, so that it could take a %s."
              .formatted(owner.writtenName(), holder.type().name()),
          "Say --pass-in setter instead.",
          owner.trees().place(owner.tree()));
    }
  }

  private void leave(List<Replacement> own) {
    List<MemberRange> ranges = new ArrayList<>();
    for (FieldDeclaration declaration : members.declarations()) {
      if (declaration.isWhole()) {
        ranges.add(declaration.range());
      } else {
        declaration.removals().forEach(each -> own.add(Replacement.removal(each[0], each[1])));
      }
    }
    members.methods().stream()
        .filter(method -> !members.delegates().contains(method))
        .forEach(method -> ranges.add(method.range()));
    int first =
        members.leaving().fieldsOfObject().stream()
            .findFirst()
            .map(field -> field.range().start())
            .orElse(-1);
    boolean shared =
        members.declarations().stream()
            .anyMatch(each -> !each.isWhole() && each.range().start() == first);
    if (members.leaving().holdsObject() && first < 0) {
      own.add(atBeginning());
    } else if (shared) {
      own.add(Replacement.of(first, first, declaration(new int[] {first, source.nextLine(first)})));
    }
    for (int[] range : MemberRange.merged(source, ranges)) {
      if (!shared && range[0] <= first && first < range[1]) {
        own.add(Replacement.of(range[0], range[1], declaration(range)));
      } else {
        int[] wide = MemberRange.withGap(source, range);
        own.add(Replacement.removal(wide[0], wide[1]));
      }
    }
  }

  /** Without fields, the object is made before all else. */
  private Replacement atBeginning() {
    FirstMember first = FirstMember.of(owner);
    Written.Text text = Written.text(first.before());
    holder.type(text.text(holder.modifiers())).text(" " + holder.name() + " = ");
    String behind = "();" + first.behind();
    return Replacement.of(first.at(), first.at(), members.creation(text, true).text(behind).done());
  }

  private Written declaration(int[] range) {
    boolean lines = range[0] == source.lineStart(range[0]);
    Written.Text text = Written.text(lines ? layout.member() : "").text(holder.modifiers());
    holder.type(text).text(" " + holder.name());
    if (members.construction().atDeclaration()) {
      text.text(" = ");
      members.creation(text, true).text("()");
    }
    boolean endsLine =
        source.text().charAt(range[1] - 1) == '\n' || source.text().charAt(range[1] - 1) == '\r';
    return text.text(";" + (endsLine ? layout.lineEnd() : "")).done();
  }

  /** A method that puts another object in, at the end of the class. */
  private Replacement setter() {
    LastMember last = LastMember.of(owner);
    String end = layout.lineEnd();
    Written.Text text = Written.text(last.before() + layout.member() + "void ");
    text.text(holder.setter() + "(");
    holder.type(text).text(" " + holder.name() + ") {" + end + layout.body());
    text.name("this", "this of " + holder.ownerType())
        .text(".")
        .name(holder.name(), holder.key())
        .text(" = ")
        .local(holder.name())
        .text(";" + end + layout.member() + "}" + end);
    return Replacement.of(last.at(), last.at(), text.done());
  }

  /** The signature stays as it was; the body only forwards. */
  private Replacement delegate(OwnerClass.Method method) {
    int body = owner.trees().start(method.tree().getBody());
    String indent = source.indentAt(method.range().declaration());
    boolean fluent = Fluent.is(owner, method);
    boolean returns = method.element().getReturnType().getKind() != TypeKind.VOID && !fluent;
    Written.Text text =
        Written.text("{" + layout.lineEnd() + indent + layout.unit() + (returns ? "return " : ""));
    if (method.is(Modifier.STATIC)) {
      text.name(holder.type().name(), holder.type().key());
    } else {
      text.here(UseKind.RECEIVER, Symbols.typeKey(owner.binaryName()))
          .name(holder.name(), holder.key());
    }
    text.text(".").name(method.name(), members.newKey(method)).text("(");
    String separator = "";
    for (Received each : members.receiving().of(method.element())) {
      text.text(separator);
      given(each, method, text);
      separator = ", ";
    }
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

  /** What a method receives is given by the old object itself, or is one of its fields. */
  private void given(Received received, OwnerClass.Method method, Written.Text text) {
    String self = "this of " + owner.binaryName();
    if (received.field().isEmpty()) {
      text.name("this", self);
      return;
    }
    OwnerClass.Field field = received.field().get();
    boolean shadowed =
        method.tree().getParameters().stream()
            .anyMatch(each -> each.getName().contentEquals(field.name()));
    if (shadowed) {
      text.name("this", self).text(".");
    } else {
      text.here(UseKind.RECEIVER, Symbols.typeKey(owner.binaryName()));
    }
    text.name(field.name(), field.key());
  }

  private void construct(Construction.Build build, List<Replacement> own) {
    List<Construction.Assigned> assignments = build.assignments();
    Construction.Assigned last = assignments.get(assignments.size() - 1);
    build.early().forEach(read -> own.add(early(read, build)));
    for (Construction.Assigned each : assignments) {
      int start = owner.trees().start(each.statement());
      int end = owner.trees().end(each.statement());
      if (each.local() != null) {
        own.add(kept(each));
        continue;
      }
      requireNoComments(each, end);
      if (each == last) {
        Replacement made = new Replacement(start, end, making(build, each, own), dropped(each));
        own.add(
            build.anyOrder()
                ? made.proving("the order in which these values are worked out changes nothing")
                : made);
      } else {
        int[] whole = owner.trees().withLine(each.statement());
        own.add(new Replacement(whole[0], whole[1], List.of(), dropped(each)));
      }
    }
  }

  /** A variable takes the value that the field got; what computes it stays where it was. */
  private Replacement kept(Construction.Assigned assigned) {
    List<Piece> pieces = new ArrayList<>(FieldType.pieces(owner, assigned.field(), null));
    pieces.add(Written.plain(" " + assigned.local() + " = "));
    int value = owner.trees().start(assigned.value().getLeaf());
    requireNoComments(assigned, value);
    return new Replacement(
        owner.trees().start(assigned.statement()), value, pieces, dropped(assigned));
  }

  private Replacement early(Construction.EarlyRead read, Construction.Build build) {
    Tree tree = read.use().path().getLeaf();
    return Rewriting.of(
        owner.trees(),
        owner.trees().start(tree),
        owner.trees().end(tree),
        "a variable has the value",
        Written.text("")
            .local(build.local(read.field()), Rewriting.name(owner.trees(), read.use().offset()))
            .done());
  }

  private void requireNoComments(Construction.Assigned assigned, int end) {
    int start = owner.trees().start(assigned.statement());
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

  private List<Piece> making(
      Construction.Build build, Construction.Assigned last, List<Replacement> own) {
    List<Piece> pieces = new ArrayList<>();
    boolean throughThis = source.text().startsWith("this", owner.trees().start(last.statement()));
    Written.Text text = Written.text("");
    if (throughThis) {
      text.name("this", "this of " + holder.ownerType()).text(".");
    } else {
      text.here(UseKind.RECEIVER, Symbols.typeKey(holder.ownerType()));
    }
    text.name(holder.name(), holder.key()).text(" = ");
    members.creation(text, arePlain(build)).text("(");
    pieces.add(text.done());
    Map<OwnerClass.Field, Construction.Assigned> byField =
        build.assignments().stream()
            .collect(Collectors.toMap(Construction.Assigned::field, each -> each));
    List<Construction.Assigned> values =
        members.construction().parameters().stream().map(byField::get).toList();
    String indent = source.indentAt(owner.trees().start(last.statement()));
    String made = "this." + holder.name() + " = new " + holder.type().name() + "();";
    int width =
        indent.length()
            + made.length()
            + values.stream().mapToInt(value -> slice(value).length() + 2).sum();
    String separator =
        width > Layout.WIDTH ? layout.lineEnd() + indent + layout.unit().repeat(2) : "";
    String between = separator.isEmpty() ? ", " : "," + separator;
    String next = separator;
    for (Construction.Assigned value : values) {
      pieces.add(Written.plain(next));
      pieces.add(
          value.local() != null
              ? Written.text("").local(value.local()).done()
              : carried(value, own));
      next = between;
    }
    pieces.add(Written.plain(");"));
    return pieces;
  }

  /** A value that became an argument takes the edits within it along. */
  private Carried carried(Construction.Assigned assigned, List<Replacement> own) {
    int start = owner.trees().start(assigned.value().getLeaf());
    int end = owner.trees().end(assigned.value().getLeaf());
    List<Replacement> inside = own.stream().filter(edit -> edit.isWithin(start, end)).toList();
    own.removeAll(inside);
    return new Carried(owner.trees().path(), start, end, inside, Indent.SAME, null);
  }

  private static boolean arePlain(Construction.Build build) {
    return build.assignments().stream().allMatch(OwnerEdits::isPlain);
  }

  private static boolean isPlain(Construction.Assigned assigned) {
    Tree value = assigned.value().getLeaf();
    return assigned.local() != null
        || value instanceof IdentifierTree
        || value instanceof LiteralTree;
  }

  private String slice(Construction.Assigned assigned) {
    if (assigned.local() != null) {
      return assigned.local();
    }
    return source.slice(
        owner.trees().start(assigned.value().getLeaf()),
        owner.trees().end(assigned.value().getLeaf()));
  }
}
