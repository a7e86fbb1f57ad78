package paredown.refactor.operation.extractclass;

import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeParameterTree;
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
import paredown.refactor.carry.Layout;
import paredown.refactor.code.FieldAccess;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Modifiers;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.FieldType;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.Ties;
import paredown.text.Article;
import paredown.text.SourceText;

/** Puts the extracted class together. */
final class NewClassText {
  private final OwnerClass owner;
  private final ExtractedMembers members;
  private final CarriedCode carried;
  private final boolean open;
  private final boolean serializable;
  private final SourceText source;
  private final Layout old;
  private final Layout layout;
  private final String outer;
  private final Holder holder;
  private final String end;
  private final List<Piece> pieces = new ArrayList<>();

  /**
   * The text of a new class.
   *
   * @param open whether others make objects of it
   * @param serializable whether its objects are stored with those of the old class
   */
  NewClassText(
      OwnerClass owner,
      ExtractedMembers members,
      CarriedCode carried,
      boolean open,
      boolean serializable) {
    this.owner = owner;
    this.members = members;
    this.carried = carried;
    this.open = open;
    this.serializable = serializable;
    this.source = owner.source();
    this.old = Layout.of(owner);
    this.holder = members.holder();
    this.layout = holder.type().nested() ? old.nested() : old.atTopLevel();
    this.outer = holder.type().nested() ? old.member() : "";
    this.end = layout.lineEnd();
  }

  List<Piece> pieces() {
    classComment();
    write(Written.plain(outer + modifiers() + "class " + holder.type().name()));
    typeParameters();
    interfaces();
    write(Written.plain(" {" + end));
    fields();
    if (!members.leaving().holdsObject()) {
      write(
          Written.plain(
              (members.fields().isEmpty() ? "" : end)
                  + layout.member()
                  + "private "
                  + holder.type().name()
                  + "() {}"
                  + end));
    }
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
    boolean first = members.leaving().holdsObject() && members.fields().isEmpty();
    for (OwnerClass.Method method : members.methods()) {
      write(Written.plain(first ? "" : end));
      first = false;
      method(method);
    }
    if (holder.copied().isPresent()) {
      write(Written.plain(end));
      write(CloneCopy.method(holder.type(), layout));
    }
    write(Written.plain(outer + "}" + end));
    return pieces;
  }

  private void interfaces() {
    Written.Text text = Written.text("");
    String separator = " implements ";
    if (serializable) {
      text.text(separator + "java.io.").name("Serializable", "type java.io.Serializable");
      separator = ", ";
    }
    if (holder.copied().isPresent()) {
      text.text(separator).name("Cloneable", "type java.lang.Cloneable");
    }
    write(text.done());
  }

  private void write(Piece piece) {
    pieces.add(piece);
  }

  private String modifiers() {
    if (!holder.type().nested()) {
      return holder.type().visible() + "final ";
    }
    return (open || holder.outside() || isSeenElsewhere() ? "" : "private ") + "static final ";
  }

  private boolean isSeenElsewhere() {
    return members.leaving().staying().stream()
        .filter(use -> !use.file().equals(owner.trees().path()))
        .anyMatch(use -> members.delegates().stream().noneMatch(m -> m.key().equals(use.key())));
  }

  private void classComment() {
    List<String> names =
        members.fields().isEmpty()
            ? ClassComment.names(members.methods())
            : members.fields().stream().map(OwnerClass.Field::name).toList();
    String of =
        members.leaving().holdsObject() ? " of " + Article.of(owner.simpleName()) + " " : " of ";
    ClassComment comment = ClassComment.of(outer, names, of, owner.simpleName(), end);
    Written.Text text = Written.text(comment.opening());
    if (isHidden(owner.element()) || holder.type().sight().hides(owner.element())) {
      text.text("{@code " + owner.simpleName());
    } else {
      text.text("{@link ")
          .doc(holder.type().ownerInComments(), Symbols.typeKey(owner.binaryName()));
    }
    write(text.text(comment.closing()).done());
  }

  private void typeParameters() {
    String separator = "<";
    for (TypeParameterTree tree : carried.variables()) {
      write(Written.plain(separator));
      copy(tree);
      separator = ", ";
    }
    write(Written.plain(carried.variables().isEmpty() ? "" : ">"));
  }

  /** What speaks of the old class's type variables means the new class's here. */
  private void copy(Tree tree) {
    write(
        new Copied(
            owner.trees().path(),
            owner.trees().start(tree),
            owner.trees().end(tree),
            List.of(),
            self()));
  }

  private static boolean isHidden(Element type) {
    return type.getModifiers().contains(Modifier.PRIVATE)
        || type.getEnclosingElement() != null && isHidden(type.getEnclosingElement());
  }

  private Self self() {
    return new Self(owner.binaryName(), holder.type().binaryName());
  }

  private List<Replacement> within(int start, int stop) {
    return carried.edits().stream().filter(edit -> edit.isWithin(start, stop)).toList();
  }

  private void fields() {
    boolean first = true;
    for (FieldDeclaration declaration : members.declarations()) {
      MemberRange range = declaration.range();
      boolean commented = !source.slice(range.start(), range.declaration()).isBlank();
      if (commented && declaration.isWhole() && !first) {
        write(Written.plain(end));
      }
      first = false;
      if (declaration.isWhole()) {
        List<Replacement> inside = new ArrayList<>(within(range.start(), range.end()));
        visibility(declaration.leaving()).ifPresent(inside::add);
        lines(range.start(), range.end(), inside);
      } else {
        declaration.leaving().forEach(field -> apart(declaration, field));
      }
    }
  }

  /** A field whose declaration stays for others has one of its own here. */
  private void apart(FieldDeclaration declaration, OwnerClass.Field field) {
    int start = declaration.range().declaration();
    int name = declaration.fields().get(0).declared();
    List<Replacement> inside = new ArrayList<>(within(start, name));
    visibility(List.of(field)).ifPresent(inside::add);
    int[] declarator = declaration.declarator(field);
    String file = owner.trees().path();
    write(Written.plain(layout.member()));
    write(new Copied(file, start, name, inside, self()));
    write(
        new Carried(
            file,
            declarator[0],
            declarator[1],
            within(declarator[0], declarator[1]),
            old.to(layout),
            self()));
    write(Written.plain(";" + end));
  }

  /** A field that code outside uses itself is seen from there; every other is private. */
  private Optional<Replacement> visibility(List<OwnerClass.Field> fields) {
    OwnerClass.Field field = fields.get(0);
    boolean direct = fields.stream().anyMatch(each -> members.access().get(each.key()).isDirect());
    return Modifiers.access(
        owner.trees(),
        field.tree().getModifiers(),
        field.range(),
        direct ? holder.type().visible() : "private ");
  }

  /** A method that the old class calls must be seen from there; others stay as they are. */
  private Optional<Replacement> visibility(OwnerClass.Method method) {
    boolean closed = method.is(Modifier.PRIVATE) || holder.type().elsewhere();
    return closed && members.isCalledFromOutside(method)
        ? Modifiers.access(
            owner.trees(), method.tree().getModifiers(), method.range(), holder.type().visible())
        : Optional.empty();
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
    FieldType.pieces(owner, field, self()).forEach(this::write);
  }

  private void constructor() {
    List<OwnerClass.Field> parameters = members.construction().parameters();
    int width =
        layout.member().length()
            + holder.type().name().length()
            + parameters.stream()
                .mapToInt(f -> f.tree().getType().toString().length() + f.name().length() + 3)
                .sum();
    String indent = layout.member() + layout.unit().repeat(2);
    String separator = width > Layout.WIDTH - 5 ? end + indent : "";
    write(
        Written.plain(
            layout.member() + holder.type().visible() + holder.type().name() + "(" + separator));
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
          .name("this", "this of " + holder.type().binaryName())
          .text(".")
          .name(field.name(), members.newKey(field))
          .text(" = ")
          .local(field.name())
          .text(";" + end);
    }
    write(text.text(layout.member() + "}" + end).done());
  }

  private void accessor(OwnerClass.Field field, FieldAccess access) {
    write(Written.plain(layout.member() + holder.type().visible()));
    type(field);
    write(
        Written.text(" " + access.accessor() + "() {" + end + layout.body() + "return ")
            .here(UseKind.RECEIVER, holder.type().key())
            .name(field.name(), members.newKey(field))
            .text(";" + end + layout.member() + "}" + end)
            .done());
  }

  /** What a method receives of its old object comes before its own parameters. */
  private Replacement received(OwnerClass.Method method, List<Received> received) {
    int bracket = owner.trees().behindBracket(owner.trees().names().of(method.tree()));
    List<Piece> parameters = new ArrayList<>();
    String separator = "";
    for (Received each : received) {
      parameters.add(Written.plain(separator));
      parameters.addAll(
          each.field()
              .map(field -> FieldType.pieces(owner, field, self()))
              .orElseGet(() -> List.of(ownerType())));
      parameters.add(Written.plain(" " + each.name()));
      separator = ", ";
    }
    parameters.add(Written.plain(method.tree().getParameters().isEmpty() ? "" : ", "));
    return new Replacement(bracket, bracket, parameters, List.of());
  }

  private Piece ownerType() {
    Written.Text text = Written.text("");
    TypeNames.spell(
        text, owner.element(), owner.writtenName(), owner.program().symbols()::key, null);
    String separator = "<";
    for (TypeParameterTree tree : owner.tree().getTypeParameters()) {
      String variable = tree.getName().toString();
      text.text(separator).name(variable, Symbols.variableKey(variable, holder.type().key()));
      separator = ", ";
    }
    return text.text(separator.equals("<") ? "" : ">").done();
  }

  private void method(OwnerClass.Method method) {
    boolean delegate = members.delegates().contains(method);
    MemberRange range = method.range();
    int start = delegate ? range.declaration() : range.start();
    int stop = delegate ? range.declarationEnd() : range.end();
    List<Replacement> inside = new ArrayList<>(within(start, stop));
    visibility(method).ifPresent(inside::add);
    List<Received> received = members.receiving().of(method.element());
    if (!received.isEmpty()) {
      inside.add(received(method, received));
    }
    if (delegate) {
      Modifiers.remove(source, range, "synchronized").ifPresent(inside::add);
      inside.addAll(Ties.left(owner, method));
    }
    lines(start, stop, inside);
  }
}
