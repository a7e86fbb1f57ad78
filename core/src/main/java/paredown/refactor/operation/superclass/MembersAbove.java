package paredown.refactor.operation.superclass;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Carried;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Self;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.carry.DocsElsewhere;
import paredown.refactor.carry.FieldPlace;
import paredown.refactor.carry.Landing;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Modifiers;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.MethodHead;
import paredown.refactor.name.Sight;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.Widening;
import paredown.refactor.use.OwnerClass;

/** The text of the members in the class above. */
final class MembersAbove {
  private final CommonMembers common;
  private final OwnerClass first;
  private final OwnerClass parent;
  private final Program program;
  private final UnitTrees trees;
  private final SeenAbove seen;
  private final TypeNames names;
  private final Widening widening;
  private final CodeAbove code;
  private final Layout layout;
  private final List<String> notes = new ArrayList<>();

  MembersAbove(CommonMembers common, SeenAbove seen, TypeNames names, Widening widening) {
    this.common = common;
    this.first = common.first();
    this.parent = common.parent();
    this.program = first.program();
    this.trees = first.trees();
    this.seen = seen;
    this.names = names;
    this.widening = widening;
    this.code = new CodeAbove(common, names);
    this.layout = Layout.of(parent, Layout.of(first).unit());
  }

  /** What a reader wants to know of it. */
  List<String> notes() {
    return notes;
  }

  /** The edits that put the fields there. */
  List<Replacement> fields() {
    List<Replacement> edits = new ArrayList<>();
    fields(true).ifPresent(edits::add);
    fields(false).ifPresent(edits::add);
    return edits;
  }

  /** The edits that put the methods there. */
  List<Replacement> methods() {
    List<Replacement> edits = new ArrayList<>();
    List<Piece> pieces = new ArrayList<>();
    for (OwnerClass.Method each : common.abstracted()) {
      pieces.add(abstracted(each));
    }
    for (OwnerClass.Method each : common.methods()) {
      Optional<OwnerClass.Method> announced = MoveUpChecks.announced(common, each);
      if (announced.isPresent()) {
        edits.add(inPlace(each, announced.get()));
      } else {
        pieces.add(method(each));
      }
    }
    if (!pieces.isEmpty()) {
      edits.add(landed(pieces));
    }
    return edits;
  }

  private Replacement landed(List<Piece> methods) {
    Landing landing = new Landing(parent);
    List<Piece> pieces = new ArrayList<>();
    String before = landing.before();
    for (Piece each : methods) {
      pieces.add(Written.plain(before + layout.member()));
      pieces.add(each);
      pieces.add(Written.plain(layout.lineEnd()));
      before = layout.lineEnd();
    }
    pieces.add(Written.plain(landing.behind()));
    return new Replacement(landing.start(), landing.end(), pieces, List.of());
  }

  private Optional<Replacement> fields(boolean ofClass) {
    List<OwnerClass.Field> some =
        common.fields().stream().filter(each -> each.is(Modifier.STATIC) == ofClass).toList();
    if (some.isEmpty()) {
      return Optional.empty();
    }
    FieldPlace place =
        ofClass ? FieldPlace.ofStatic(parent, layout) : FieldPlace.ofInstance(parent, layout);
    List<Piece> pieces = new ArrayList<>();
    String gap = layout.lineEnd() + layout.lineEnd();
    for (int i = 0; i < some.size(); i++) {
      boolean last = i + 1 == some.size();
      pieces.add(Written.plain(place.before()));
      pieces.add(field(some.get(i)));
      pieces.add(
          Written.plain(!last && place.behind().equals(gap) ? layout.lineEnd() : place.behind()));
    }
    return Optional.of(new Replacement(place.at(), place.at(), pieces, List.of()));
  }

  private Carried field(OwnerClass.Field field) {
    List<Replacement> inside = new ArrayList<>();
    Modifiers.access(trees, field.tree().getModifiers(), field.range(), word(seen.of(field.key())))
        .ifPresent(inside::add);
    return carried(field.range(), field.path(), field.name(), inside);
  }

  private static String word(AccessLevel level) {
    return level == AccessLevel.PACKAGE ? "" : level.word() + " ";
  }

  private Carried method(OwnerClass.Method method) {
    return carried(method.range(), method.path(), method.name(), ofMethod(method));
  }

  private List<Replacement> ofMethod(OwnerClass.Method method) {
    List<Replacement> inside = new ArrayList<>();
    Modifiers.access(
            trees, method.tree().getModifiers(), method.range(), word(seen.of(method.key())))
        .ifPresent(inside::add);
    overriding(method, inside);
    return inside;
  }

  /** Says anew which methods it overrides there; it may be none. */
  private void overriding(OwnerClass.Method method, List<Replacement> inside) {
    int name = trees.names().of(method.tree());
    Optional<Use> old = program.uses().at(trees.path(), name, UseKind.OVERRIDES);
    if (old.isEmpty()) {
      return;
    }
    TreeSet<String> then = overridden(method.element());
    Written.Text text = Written.text("");
    if (!then.isEmpty()) {
      text.here(UseKind.OVERRIDES, String.join(" & ", then), old.get().place());
    }
    inside.add(
        new Replacement(
            name,
            name + method.name().length(),
            List.of(text.text(method.name()).done()),
            then.isEmpty()
                ? List.of(new Replacement.Dropped(old.get().place(), "nothing is above it there"))
                : List.of()));
    if (then.isEmpty()) {
      for (AnnotationTree each : method.tree().getModifiers().getAnnotations()) {
        TreePath modifiers = new TreePath(method.path(), method.tree().getModifiers());
        TreePath type = new TreePath(new TreePath(modifiers, each), each.getAnnotationType());
        if (String.valueOf(trees.element(type)).equals("java.lang.Override")) {
          inside.add(Annotations.removal(trees, each));
        }
      }
    }
  }

  private TreeSet<String> overridden(ExecutableElement method) {
    TreeSet<String> keys = new TreeSet<>();
    for (TypeElement above : program.supertypes(parent.element())) {
      for (ExecutableElement each : ElementFilter.methodsIn(above.getEnclosedElements())) {
        if (each.getSimpleName().equals(method.getSimpleName())
            && program.elements().overrides(method, each, first.element())) {
          keys.add(program.symbols().key(each));
        }
      }
    }
    return keys;
  }

  private Carried carried(MemberRange range, TreePath path, String name, List<Replacement> inside) {
    int[] signs = range.signs(trees.source());
    return carried(signs[0], signs[1], path, name, inside);
  }

  private Carried carried(
      int start, int end, TreePath path, String name, List<Replacement> inside) {
    List<Replacement> all = new ArrayList<>(inside);
    for (Replacement each : code.edits(path, name)) {
      boolean gone =
          inside.stream()
              .anyMatch(
                  e -> e.start() <= each.start() && each.end() <= e.end() && e.start() < e.end());
      if (!gone) {
        all.add(each);
      }
    }
    Map<String, String> keys = new LinkedHashMap<>(common.asked());
    keys.putAll(MoveUp.became(common));
    DocsElsewhere docs = new DocsElsewhere(trees, names, parent.element(), keys);
    all.addAll(docs.edits(start, end));
    Sight sight = new Sight(parent.element(), program);
    for (Element each : CodeElsewhere.named(trees, path)) {
      if (!isOfMoved(each) && !isInherited(each)) {
        widening.open(each, sight, name, trees.place(path.getLeaf()));
      }
    }
    Layout from = Layout.of(first);
    Indent indent =
        new Indent(
            trees.source().startsLine(start) ? trees.source().indentAt(start) : from.member(),
            layout.member(),
            new Indent.Level(from.unit(), layout.unit()),
            layout.lineEnd().equals(trees.source().lineEnd()) ? "" : layout.lineEnd());
    Self self = new Self(first.binaryName(), parent.binaryName(), code.variables());
    return new Carried(trees.path(), start, end, all, indent, self);
  }

  /** Whether the class above may ask objects of the classes below it for a member, too. */
  private boolean isInherited(Element element) {
    return Sight.isSeenBelow(element)
        && element.getEnclosingElement() instanceof TypeElement type
        && program.isOrIsBelow(parent.element(), type);
  }

  private boolean isOfMoved(Element element) {
    boolean asked =
        common.slots().containsKey(element)
            || common.abstracted().stream().anyMatch(each -> each.element().equals(element));
    return asked
        || common.fields().stream().anyMatch(each -> each.element().equals(element))
        || common.methods().stream().anyMatch(each -> each.element().equals(element));
  }

  /** A method in the place of the one that only announced it. */
  private Replacement inPlace(OwnerClass.Method method, OwnerClass.Method announced) {
    MemberRange range = method.range();
    UnitTrees there = parent.trees();
    String why = "it has its body here now";
    Carried carried =
        carried(
            range.declaration(),
            range.declarationEnd(),
            method.path(),
            method.name(),
            ofMethod(method));
    if (!trees.source().slice(range.start(), range.declaration()).isBlank()) {
      notes.add(
          "The comment at %s goes; that of %s stays."
              .formatted(
                  trees.source().place(range.declaration()),
                  parent.writtenName() + "#" + method.name()));
    }
    return Rewriting.of(
            there,
            announced.range().declaration(),
            announced.range().declarationEnd(),
            why,
            List.of(carried),
            List.of())
        .proving(why);
  }

  /** What the class above says of a method that each class below has in its own way. */
  private Written abstracted(OwnerClass.Method method) {
    Written.Text text = Written.text(word(seen.of(method.key())) + "abstract ");
    TypeMirror result = method.element().getReturnType();
    if (result.getKind() == TypeKind.VOID) {
      text.text("void");
    } else {
      names.write(text, common.variables().in(result), parent.element());
    }
    text.text(" " + method.name());
    MethodHead head = new MethodHead(names, parent.element(), common.variables()::in);
    head.takes(text, method.element());
    head.fails(text, method.element());
    return text.text(";").done().proving("the classes below have it");
  }
}
