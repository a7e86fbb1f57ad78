package paredown.refactor;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import paredown.edit.Carried;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Self;
import paredown.edit.Written;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.text.Listed;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.TokenKind;

/** Puts the file of the extracted class together. */
final class NewClassText {
  private final OwnerClass owner;
  private final ExtractedMembers members;
  private final CarriedCode carried;
  private final SourceText source;
  private final Layout old;
  private final Layout layout;
  private final Holder holder;
  private final String end;
  private final List<Piece> pieces = new ArrayList<>();

  NewClassText(OwnerClass owner, ExtractedMembers members, CarriedCode carried) {
    this.owner = owner;
    this.members = members;
    this.carried = carried;
    this.source = owner.source();
    this.old = Layout.of(owner);
    this.layout = old.atTopLevel();
    this.holder = members.holder();
    this.end = layout.lineEnd();
  }

  List<Piece> pieces() {
    header();
    pieces.addAll(new NewClassImports(owner, members, carried).pieces());
    classComment();
    write(Written.plain("final class " + holder.simpleType() + " {" + end));
    fields();
    if (!members.construction().parameters().isEmpty()) {
      write(Written.plain(end));
      constructor();
    }
    for (OwnerClass.Field field : members.fields()) {
      FieldAccess access = members.access().get(field.key());
      if (access.isNew()) {
        write(Written.plain(end));
        accessor(field, access);
      }
    }
    for (OwnerClass.Method method : members.methods()) {
      write(Written.plain(end));
      method(method);
    }
    write(Written.plain("}" + end));
    return pieces;
  }

  private void write(Piece piece) {
    pieces.add(piece);
  }

  /** The licence of the neighbour, and the package. */
  private void header() {
    var packageTree = owner.trees().unit().tree().getPackage();
    int until = packageTree != null ? owner.trees().start(packageTree) : licenceEnd();
    if (until > 0 && !source.slice(0, until).isBlank()) {
      write(new Copied(owner.trees().path(), 0, until, List.of()));
    }
    if (packageTree != null) {
      write(Written.plain("package " + owner.packageName() + ";" + end + end));
    }
  }

  /** Without a package, a comment is a licence where a gap parts it from what follows. */
  private int licenceEnd() {
    if (source.tokens().isEmpty()) {
      return 0;
    }
    Token first = source.tokens().get(0);
    int behind = source.nextLine(Math.max(0, first.end() - 1));
    boolean parted =
        first.kind() == TokenKind.BLOCK_COMMENT
            && behind < source.length()
            && source.lineText(source.line(behind)).isBlank();
    return parted ? source.nextLine(behind) : 0;
  }

  private void classComment() {
    List<String> names = members.fields().stream().map(OwnerClass.Field::name).toList();
    Written.Text text = Written.text("/** The " + Listed.of(names) + " of a ");
    if (isHidden(owner.element())) {
      text.text("{@code " + owner.simpleName());
    } else {
      text.text("{@link ").doc(owner.writtenName(), Symbols.typeKey(owner.binaryName()));
    }
    write(text.text("}. */" + end).done());
  }

  private static boolean isHidden(Element type) {
    return type.getModifiers().contains(Modifier.PRIVATE)
        || type.getEnclosingElement() != null && isHidden(type.getEnclosingElement());
  }

  private Self self() {
    return new Self(owner.binaryName(), holder.typeName());
  }

  private List<Replacement> within(int start, int stop) {
    return carried.edits().stream()
        .filter(edit -> edit.start() >= start && edit.end() <= stop)
        .toList();
  }

  private void fields() {
    boolean first = true;
    for (OwnerClass.Field field : members.fields()) {
      boolean commented =
          !source.slice(field.range().start(), field.range().declaration()).isBlank();
      if (commented && !first) {
        write(Written.plain(end));
      }
      first = false;
      List<Replacement> inside =
          new ArrayList<>(within(field.range().start(), field.range().end()));
      visibility(field).ifPresent(inside::add);
      lines(field.range().start(), field.range().end(), inside);
    }
  }

  /** A field that code outside uses itself is seen by the package; every other is private. */
  private Optional<Replacement> visibility(OwnerClass.Field field) {
    boolean direct = members.access().get(field.key()).isDirect();
    for (String modifier : List.of("private", "protected", "public")) {
      if (Modifiers.has(source, field.range(), modifier)) {
        if (direct) {
          return Modifiers.remove(source, field.range(), modifier);
        }
        return modifier.equals("private")
            ? Optional.empty()
            : Modifiers.replace(source, field.range(), modifier, "private");
      }
    }
    int start =
        Modifiers.behindAnnotations(
            owner.trees(), field.tree().getModifiers(), field.range().declaration());
    return direct
        ? Optional.empty()
        : Optional.of(Replacement.of(start, start, Written.plain("private ")));
  }

  /** Carries a range with its own lines, or gives it a line where it had none of its own. */
  private void lines(int start, int stop, List<Replacement> inside) {
    boolean ownLine = start == source.lineStart(start);
    boolean ownEnd =
        stop > 0
            && (source.text().charAt(stop - 1) == '\n' || source.text().charAt(stop - 1) == '\r');
    if (!ownLine) {
      write(Written.plain(layout.member()));
    }
    write(new Carried(owner.trees().path(), start, stop, inside, old.to(layout), self()));
    if (!ownEnd) {
      write(Written.plain(end));
    }
  }

  private void type(OwnerClass.Field field) {
    var type = field.tree().getType();
    write(
        new Copied(
            owner.trees().path(), owner.trees().start(type), owner.trees().end(type), List.of()));
  }

  private void constructor() {
    List<OwnerClass.Field> parameters = members.construction().parameters();
    int width =
        layout.member().length()
            + holder.simpleType().length()
            + parameters.stream()
                .mapToInt(f -> f.tree().getType().toString().length() + f.name().length() + 3)
                .sum();
    String indent = layout.member() + layout.unit().repeat(2);
    String separator = width > Layout.WIDTH - 5 ? end + indent : "";
    write(Written.plain(layout.member() + holder.simpleType() + "(" + separator));
    String next = "";
    for (OwnerClass.Field field : parameters) {
      write(Written.plain(next));
      type(field);
      write(Written.plain(" " + field.name()));
      next = separator.isEmpty() ? ", " : "," + separator;
    }
    Written.Text text = Written.text(") {" + end);
    for (OwnerClass.Field field : parameters) {
      text.text(layout.body())
          .name("this", "this of " + holder.typeName())
          .text(".")
          .name(field.name(), members.newKey(field))
          .text(" = ")
          .local(field.name())
          .text(";" + end);
    }
    write(text.text(layout.member() + "}" + end).done());
  }

  private void accessor(OwnerClass.Field field, FieldAccess access) {
    write(Written.plain(layout.member()));
    type(field);
    write(
        Written.text(" " + access.accessor() + "() {" + end + layout.body() + "return ")
            .here(UseKind.RECEIVER, holder.typeKey())
            .name(field.name(), members.newKey(field))
            .text(";" + end + layout.member() + "}" + end)
            .done());
  }

  private void method(OwnerClass.Method method) {
    boolean delegate = members.delegates().contains(method);
    MemberRange range = method.range();
    int start = delegate ? range.declaration() : range.start();
    int stop = delegate ? range.declarationEnd() : range.end();
    List<Replacement> inside = new ArrayList<>(within(start, stop));
    if (method.is(Modifier.PRIVATE) && members.isCalledFromOutside(method)) {
      Modifiers.remove(source, range, "private").ifPresent(inside::add);
    }
    lines(start, stop, inside);
  }
}
