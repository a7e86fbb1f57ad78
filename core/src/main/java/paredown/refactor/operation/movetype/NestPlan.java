package paredown.refactor.operation.movetype;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Indent;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.carry.DocsElsewhere;
import paredown.refactor.carry.Landing;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Modifiers;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.name.ShownName;
import paredown.refactor.name.SpeltName;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.FileNames;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/** Works out what a type with a file of its own is within another, or why it cannot be there. */
final class NestPlan {
  private final MoveType arguments;
  private final OwnerClass alone;
  private final OwnerClass around;
  private final SourceIndex index;
  private final Program program;
  private final EditList edits = new EditList();

  private final Cannot cannot;

  NestPlan(MoveType arguments, OwnerClass alone, OwnerClass around, SourceIndex index) {
    this.arguments = arguments;
    this.alone = alone;
    this.around = around;
    this.index = index;
    this.program = alone.program();
    this.cannot =
        new Cannot("%s cannot stand in %s".formatted(alone.simpleName(), around.writtenName()));
  }

  Change change() {
    Overruled overruled = new Overruled(arguments.accepted());
    require(overruled);
    FileNames files = new FileNames(program, edits);
    new NestedNames(alone, around, edits, files).collect();
    SpeltName spelt = spelt(alone, around);
    if (arguments.inStrings()) {
      spelt.inStrings(program, edits::add);
    }
    land(files);
    files.addImports();
    gone();
    List<ChangedFile> changed = new ArrayList<>(new EditedFiles(program).of(edits));
    if (arguments.inStrings()) {
      changed.addAll(spelt.inFiles());
    }
    new ShownName(alone, index).assume();
    List<String> notes = new ArrayList<>(overruled.notes());
    notes.addAll(spelt.notes());
    comments().ifPresent(notes::add);
    return new Change(
        "%s is a type of %s.".formatted(alone.simpleName(), around.writtenName()),
        changed,
        Map.of(),
        Map.of(),
        Map.of(alone.binaryName(), binary(alone, around)),
        ReadableFiles.paths(program),
        new Change.Report(api(), wider(), List.of(), notes).assuming(alone.assumptions().all()));
  }

  private UnitTrees trees() {
    return alone.trees();
  }

  private static String binary(OwnerClass alone, OwnerClass around) {
    return around.binaryName() + "$" + alone.simpleName();
  }

  /** Its whole name, where no compiler reads it. */
  static SpeltName spelt(OwnerClass alone, OwnerClass around) {
    return new SpeltName(alone.program().sources(), alone.binaryName(), binary(alone, around));
  }

  private void require(Overruled overruled) {
    if (trees().unit().tree().getTypeDecls().size() > 1) {
      throw cannot.because(
          RefusalKind.SHARED_FILE,
          "its file holds other types, too",
          "Part them first.",
          trees().place(alone.tree()));
    }
    boolean taken =
        ElementFilter.typesIn(program.elements().getAllMembers(around.element())).stream()
            .anyMatch(each -> each.getSimpleName().contentEquals(alone.simpleName()));
    if (taken || around.simpleName().equals(alone.simpleName())) {
      throw cannot.because(
          RefusalKind.NAME_TAKEN,
          "there is one of that name",
          "Rename one of the two first.",
          trees().place(alone.tree()));
    }
    boolean inner =
        around.element().getNestingKind().isNested()
            && !around.element().getModifiers().contains(Modifier.STATIC)
            && around.element().getKind() == ElementKind.CLASS;
    if (inner) {
      throw cannot.because(
          RefusalKind.INNER_OBJECT,
          "each of its objects belongs to another one",
          "",
          trees().place(alone.tree()));
    }
    for (Element at = around.element();
        at instanceof TypeElement type;
        at = at.getEnclosingElement()) {
      if (program.isOrIsBelow(type, alone.element())) {
        throw cannot.because(
            RefusalKind.TARGET_ELSEWHERE,
            type.getSimpleName() + " extends it, and cannot hold what it begins with",
            "",
            trees().place(alone.tree()));
      }
    }
    if (alone.element().getModifiers().contains(Modifier.SEALED)) {
      throw cannot.because(
          RefusalKind.TARGET_ELSEWHERE,
          "a sealed type stays where those are that it permits",
          "",
          trees().place(alone.tree()));
    }
    boolean test =
        ElementFilter.methodsIn(alone.element().getEnclosedElements()).stream()
            .flatMap(method -> method.getAnnotationMirrors().stream())
            .anyMatch(each -> each.getAnnotationType().toString().startsWith("org.junit."));
    if (test) {
      throw cannot.because(
          RefusalKind.FIXED_NAME,
          "its tests are told by the name of their class",
          "",
          trees().place(alone.tree()));
    }
    new NamedFromOutside(alone, "moved", overruled).require(arguments.inStrings());
  }

  private List<String> api() {
    return AccessLevel.isApi(alone.element())
        ? List.of(
            "%s is %s.%s now"
                .formatted(
                    alone.element().getQualifiedName(),
                    around.element().getQualifiedName(),
                    alone.simpleName()))
        : List.of();
  }

  private List<String> wider() {
    boolean opened =
        around.element().getKind().isInterface()
            && AccessLevel.of(alone.element()) != AccessLevel.PUBLIC;
    return opened ? List.of("%s: package -> public".formatted(alone.simpleName())) : List.of();
  }

  /** Puts the type behind the last member of the other. */
  private void land(FileNames files) {
    MemberRange range =
        MemberRange.of(trees().source(), trees().start(alone.tree()), trees().end(alone.tree()));
    int[] signs = signs();
    List<Replacement> inside = new ArrayList<>();
    TypeElement element = alone.element();
    boolean needsStatic =
        element.getKind() == ElementKind.CLASS && !around.element().getKind().isInterface();
    if (needsStatic) {
      inside.add(Modifiers.beStatic(trees(), alone.tree().getModifiers(), range));
    }
    List<Replacement> more = new ArrayList<>(edits.take(trees().path(), signs[0], signs[1]));
    var names = files.of(around.trees());
    more.addAll(new CodeAlone(alone, names, around.element()).edits());
    more.addAll(
        new DocsElsewhere(trees(), names, around.element(), Map.of()).edits(signs[0], signs[1]));
    for (Replacement each : more) {
      boolean apart =
          inside.stream().noneMatch(one -> one.start() < each.end() && each.start() < one.end());
      if (apart) {
        inside.add(each);
      }
    }
    Layout before = Layout.of(alone);
    Layout layout = Layout.of(around, before.unit());
    Indent indent =
        new Indent(
            "", layout.member(), new Indent.Level(before.unit(), layout.unit()), layout.lineEnd());
    Landing landing = new Landing(around);
    edits.add(
        around.trees().path(),
        Replacement.of(
            landing.start(),
            landing.end(),
            Written.plain(landing.ends() + landing.before()),
            new Carried(trees().path(), signs[0], signs[1], inside, indent, null),
            Written.plain(layout.lineEnd() + landing.behind())));
  }

  /** The comments of its file that neither stand with the type nor in the other file. */
  private Optional<String> comments() {
    SourceText source = trees().source();
    int[] signs = signs();
    String there = around.source().text();
    return source.tokens().stream()
        .filter(token -> token.kind().isComment())
        .filter(token -> token.start() < signs[0] || token.start() >= signs[1])
        .filter(token -> !there.contains(source.slice(token.start(), token.end())))
        .findFirst()
        .map(token -> "A comment goes with the file: %s.".formatted(source.place(token.start())));
  }

  private int[] signs() {
    SourceText source = trees().source();
    return MemberRange.of(source, trees().start(alone.tree()), trees().end(alone.tree()))
        .signs(source);
  }

  /** Its file goes, with what only it said. */
  private void gone() {
    SourceText source = trees().source();
    MemberRange range =
        MemberRange.of(source, trees().start(alone.tree()), trees().end(alone.tree()));
    int[] signs = range.signs(source);
    List<Replacement.Dropped> dropped = new ArrayList<>();
    program
        .uses()
        .in(trees().path())
        .filter(use -> use.offset() < signs[0] || use.offset() >= signs[1])
        .forEach(use -> dropped.add(new Replacement.Dropped(use.place(), "its file is gone")));
    edits.of(trees().path()).clear();
    edits.add(
        trees().path(),
        new Replacement(0, source.length(), List.of(), dropped, "its file is gone"));
  }
}
