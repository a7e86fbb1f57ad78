package paredown.refactor.operation.movemethod;

import com.sun.source.tree.VariableTree;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Self;
import paredown.edit.Written;
import paredown.refactor.carry.Landing;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.ListItem;
import paredown.refactor.code.Modifiers;
import paredown.refactor.code.Rewriting;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.Ties;
import paredown.text.SourceText;
import paredown.text.Token;

/** The text of a method in its new place. */
final class MovedText {
  private final Moving moving;
  private final OwnerClass owner;
  private final OwnerClass.Method method;
  private final SourceText source;
  private final TypeNames names;
  private final List<Replacement> inside = new ArrayList<>();

  MovedText(Moving moving, Map<String, TypeNames> names) {
    this.moving = moving;
    this.owner = moving.owner();
    this.method = moving.method();
    this.source = owner.source();
    this.names = names.get(moving.target().trees().path());
  }

  /** The method put behind the others of its new type. */
  Replacement inserted() {
    inside.addAll(MovedBody.edits(moving, names));
    modifiers();
    typeVariables();
    parameters();
    if (!moving.name().equals(method.name())) {
      int name = owner.trees().names().of(method.tree());
      inside.add(Replacement.of(name, name + method.name().length(), Written.plain(moving.name())));
    }
    if (!moving.delegate()) {
      inside.addAll(new MovedDocs(moving, names).edits());
    }
    return place(new Landing(moving.target()));
  }

  private Replacement place(Landing landing) {
    Layout layout = Layout.of(moving.target(), Layout.of(owner).unit());
    int declaration = method.range().declaration();
    int start = moving.delegate() ? declaration : method.range().start();
    int stop = moving.delegate() ? method.range().declarationEnd() : method.range().end();
    boolean ownLine = start == source.lineStart(start);
    boolean ownEnd = "\r\n".indexOf(source.text().charAt(stop - 1)) >= 0;
    String old = source.startsLine(declaration) ? source.indentAt(declaration) : "";
    String end = layout.lineEnd();
    Indent indent =
        new Indent(
            old,
            layout.member(),
            new Indent.Level(Layout.of(owner).unit(), layout.unit()),
            source.lineEnd().equals(end) ? "" : end);
    List<Piece> pieces = new ArrayList<>();
    if (!landing.ends().isEmpty()) {
      pieces.add(Written.plain(landing.ends()));
      pieces.add(Carried.range(moving.target().trees().path(), landing.start(), landing.end()));
    }
    pieces.add(Written.plain(landing.before() + (ownLine ? "" : layout.member())));
    pieces.add(new Carried(owner.trees().path(), start, stop, inside, indent, self()));
    pieces.add(Written.plain((ownEnd ? "" : end) + landing.behind()));
    return new Replacement(landing.start(), landing.end(), pieces, List.of());
  }

  private Self self() {
    return new Self(owner.binaryName(), moving.target().binaryName());
  }

  private void modifiers() {
    if (moving.delegate()) {
      inside.addAll(Ties.left(owner, method));
    }
    int first =
        Modifiers.behindAnnotations(
            owner.trees(), method.tree().getModifiers(), method.range().declaration());
    Set<String> wanted = wanted();
    StringBuilder missing = new StringBuilder();
    for (String word : List.of("public", "protected", "private", "default", "static")) {
      boolean present = Modifiers.has(source, method.range(), word);
      if (wanted.contains(word) && !present) {
        missing.append(word).append(' ');
      }
    }
    Optional<Replacement> inPlace = Optional.empty();
    for (String word :
        List.of("public", "protected", "private", "default", "synchronized", "final", "static")) {
      boolean leaves = !wanted.contains(word) && Modifiers.has(source, method.range(), word);
      if (leaves && inPlace.isEmpty() && missing.length() > 0 && !word.equals("static")) {
        inPlace = Modifiers.replace(source, method.range(), word, missing.toString().strip());
        inPlace.ifPresent(inside::add);
        missing.setLength(0);
      } else if (leaves) {
        Modifiers.remove(source, method.range(), word).ifPresent(inside::add);
      }
    }
    if (missing.length() > 0) {
      int at = behindVisibility(first, missing.toString());
      inside.add(Replacement.of(at, at, Written.plain(missing.toString())));
    }
  }

  /** Where a modifier is put: first of all, or {@code static} behind the visibility. */
  private int behindVisibility(int first, String missing) {
    Token token = source.codeTokenFrom(first);
    boolean visibility =
        Set.of("public", "protected", "private").contains(source.slice(token.start(), token.end()));
    return visibility && missing.equals("static ")
        ? source.codeTokenFrom(token.end()).start()
        : first;
  }

  private Set<String> wanted() {
    Set<String> wanted = new java.util.HashSet<>();
    boolean toInterface = moving.target().element().getKind().isInterface();
    AccessLevel level = moving.visibility().level();
    boolean written = level != AccessLevel.PACKAGE;
    boolean implied = toInterface && level == AccessLevel.PUBLIC;
    boolean already = Modifiers.has(source, method.range(), "public");
    if (written && (!implied || already)) {
      wanted.add(level.word());
    }
    if (moving.route().becomesStatic()) {
      wanted.add("static");
    } else if (toInterface && level != AccessLevel.PRIVATE) {
      wanted.add("default");
    }
    if (method.is(Modifier.FINAL) && !toInterface) {
      wanted.add("final");
    }
    if (method.is(Modifier.SYNCHRONIZED) && !moving.delegate()) {
      wanted.add("synchronized");
    }
    return wanted;
  }

  private TypeElement scope() {
    return moving.target().element();
  }

  /** The type variables of the old class that it needs become its own. */
  private void typeVariables() {
    if (moving.variables().isEmpty()) {
      return;
    }
    Written.Text text = Written.text("");
    var present = method.tree().getTypeParameters();
    String separator = present.isEmpty() ? "<" : ", ";
    for (TypeParameterElement variable : moving.variables()) {
      text.text(separator).text(variable.getSimpleName().toString());
      String bounds = " extends ";
      for (TypeMirror bound : variable.getBounds()) {
        if (!bound.toString().equals("java.lang.Object")) {
          names.write(text.text(bounds), bound, scope());
          bounds = " & ";
        }
      }
      separator = ", ";
    }
    int at;
    if (present.isEmpty()) {
      at = owner.trees().start(method.tree().getReturnType());
      text.text("> ");
    } else {
      at = owner.trees().end(present.get(present.size() - 1));
    }
    inside.add(Replacement.of(at, at, text.done()));
  }

  private void parameters() {
    List<? extends VariableTree> all = method.tree().getParameters();
    List<Integer> kept = moving.kept();
    if (moving.through() instanceof Through.Parameter parameter) {
      removeParameter(all, parameter.index());
    }
    int bracket = owner.trees().behindBracket(owner.trees().names().of(method.tree()));
    if (moving.given().isOwner()) {
      Written.Text text = Written.text("");
      names.write(text, owner.element().asType(), scope());
      text.text(" " + moving.given().ownerName() + (kept.isEmpty() ? "" : ", "));
      inside.add(Replacement.of(bracket, bracket, text.done()));
    }
    if (moving.given().values().isEmpty()) {
      return;
    }
    boolean before = moving.isVarArgs();
    Written.Text text = Written.text("");
    String separator = kept.isEmpty() && !moving.given().isOwner() || before ? "" : ", ";
    for (Given.Value value : moving.given().values()) {
      names.write(text.text(separator), value.type(), scope());
      text.text(" " + value.name());
      separator = ", ";
    }
    text.text(before ? ", " : "");
    int at =
        kept.isEmpty()
            ? bracket
            : before
                ? owner.trees().start(all.get(all.size() - 1))
                : owner.trees().end(all.get(kept.get(kept.size() - 1)));
    inside.add(Replacement.of(at, at, text.done()));
  }

  private void removeParameter(List<? extends VariableTree> all, int index) {
    ListItem item = ListItem.of(owner.trees(), all, index);
    inside.add(
        Rewriting.of(
            owner.trees(), item.start(), item.end(), "the parameter is the object itself now"));
  }
}
