package paredown.refactor.operation.extractclass;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import paredown.UnusableRequest;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.SourceIndex;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.DelegateChoice;
import paredown.refactor.carry.LastMember;
import paredown.refactor.carry.NewFileHead;
import paredown.refactor.code.FieldAccess;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.NewImport;
import paredown.refactor.name.Widening;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.startup.Construction;
import paredown.refactor.startup.EarlyUses;
import paredown.refactor.startup.StaticParts;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.OutsideNames;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.ReflectionCheck;
import paredown.text.Article;

/** Works out what extracting a class does to every file, or why it cannot be done. */
final class ExtractClassPlan {
  private final ExtractClass arguments;
  private final OwnerClass owner;
  private final NewClass type;
  private final SourceIndex index;
  private final Leaving leaving;
  private final Overruled overruled;
  private Set<String> widened = Set.of();

  ExtractClassPlan(ExtractClass arguments, OwnerClass owner, SourceIndex index) {
    this.arguments = arguments;
    this.owner = owner;
    this.type = NewClass.of(owner, arguments.name(), arguments.wishes());
    this.index = index;
    this.leaving = Leaving.of(owner, arguments.fields(), arguments.methods());
    this.overruled = new Overruled(arguments.wishes().accepted());
  }

  /** The names of what the change makes more visible, once it is worked out. */
  Set<String> widened() {
    return widened;
  }

  Change change() {
    requireKnownOwner();
    if (!leaving.holdsObject() && arguments.wishes().passIn().isPresent()) {
      throw new UnusableRequest(
          "All that leaves " + owner.writtenName() + " is static: there is no object to pass in.",
          "Leave --pass-in out.");
    }
    FieldChecks checks = new FieldChecks(leaving, overruled);
    checks.require();
    MethodChecks methodChecks = new MethodChecks(leaving);
    methodChecks.require();
    new ReflectionCheck(owner, leaving.keys()).requireUnless(overruled);
    Construction construction = Construction.of(leaving);
    if (leaving.holdsObject()) {
      checks.requireIndependentInitialisers(construction);
      new EarlyUses(leaving, construction).require();
    }
    StaticParts statics = new StaticParts(leaving);
    statics.require();

    boolean none = arguments.wishes().delegate().equals(Optional.of(false));
    Set<OwnerClass.Method> delegates = new DelegateChoice(leaving).of(none);
    if (none) {
      methodChecks.requireNoDelegates(delegates);
    }
    Receiving receiving = Receiving.of(leaving, type, arguments.wishes().pass());
    Set<OwnerClass.Method> given = receiving.methods();
    given.removeIf(this::isDone);
    if (none) {
      methodChecks.requireNothingReceived(given);
    }
    delegates.addAll(given);
    methodChecks.requireCallersNear(delegates);
    OutsideNames.requireNone(owner, namesWithout(delegates), overruled);
    List<MemberUse> asking = asking(delegates);
    statics.requireNoLaterStart(asking);

    CarriedCode carried = new CarriedCode(leaving, type, receiving);
    List<FieldDeclaration> declarations = FieldDeclaration.of(owner, leaving.fields());
    declarations.forEach(carried::carry);
    leaving.methods().forEach(method -> carried.carry(method, !delegates.contains(method)));
    checks.requirePlainCopies(carried.variables());
    HolderChoice choice = new HolderChoice(type, arguments.wishes(), index, checks.copied());
    Holder holder =
        choice.of(
            asking.stream().filter(use -> !leaving.isStatic(use)).toList(),
            carried.variables().stream().map(each -> each.getName().toString()).toList());
    ExtractedMembers members =
        new ExtractedMembers(
            leaving,
            declarations,
            delegates,
            receiving,
            access(construction, holder),
            construction,
            holder);
    List<String> notes = new ArrayList<>(overruled.notes());
    receiving.note().ifPresent(notes::add);
    Companions.note(leaving, type).ifPresent(notes::add);
    checks
        .copied()
        .ifPresent(
            each -> notes.add("A clone gets %s of its own.".formatted(Article.with(type.name()))));
    if (leaving.holdsObject()) {
      choice.note(holder).ifPresent(notes::add);
    }
    return assemble(members, carried, notes);
  }

  private void requireKnownOwner() {
    boolean local =
        switch (owner.element().getNestingKind()) {
          case LOCAL, ANONYMOUS -> true;
          default -> false;
        };
    String place = owner.trees().place(owner.tree());
    if (local) {
      throw Refused.because(RefusalKind.NOT_A_CLASS, owner.simpleName(), place);
    }
    if (type.nested() && isInner(owner.element()) && owner.trees().language() < 16) {
      throw Refused.advising(
          RefusalKind.NOT_A_CLASS,
          owner.writtenName() + " is an inner class, which could hold no other before Java 16.",
          "Leave --nested out.",
          place);
    }
    String qualified = type.qualifiedName();
    if (owner.program().elements().getTypeElement(qualified) != null) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "There is a class " + qualified + " on the class path already.",
          "Choose another with --name.");
    }
  }

  private static boolean isInner(TypeElement type) {
    return type.getNestingKind() == NestingKind.MEMBER
        && !type.getModifiers().contains(Modifier.STATIC);
  }

  /** The names of what is not in its old place any more. */
  /** Whether nothing asks for a method any more where it was. */
  private boolean isDone(OwnerClass.Method method) {
    return method.is(Modifier.PRIVATE)
        && leaving.staying().stream().noneMatch(use -> use.key().equals(method.key()));
  }

  private List<String> namesWithout(Set<OwnerClass.Method> delegates) {
    List<String> names =
        new ArrayList<>(leaving.fields().stream().map(OwnerClass.Field::name).toList());
    leaving.methods().stream()
        .filter(method -> !delegates.contains(method))
        .forEach(method -> names.add(method.name()));
    return names;
  }

  /** The uses by code that stays that will ask the new class. */
  private List<MemberUse> asking(Set<OwnerClass.Method> delegates) {
    Set<String> delegated =
        delegates.stream().map(OwnerClass.Method::key).collect(Collectors.toSet());
    return leaving.staying().stream().filter(use -> !delegated.contains(use.key())).toList();
  }

  /** How code that stays reaches each field, by the fields' keys. */
  private Map<String, FieldAccess> access(Construction construction, Holder holder) {
    Set<Integer> targets = construction.targets(owner);
    AccessorNames names = new AccessorNames(owner, leaving.fields(), leaving.methods(), holder);
    List<MemberUse> staying =
        leaving.staying().stream()
            .filter(
                use -> !use.file().equals(owner.trees().path()) || !targets.contains(use.offset()))
            .toList();
    Map<String, FieldAccess> access = new LinkedHashMap<>();
    for (OwnerClass.Field field : leaving.fields()) {
      List<MemberUse> here = staying.stream().filter(use -> use.key().equals(field.key())).toList();
      boolean directly =
          field.is(Modifier.STATIC) || here.stream().anyMatch(use -> !use.access().isRead());
      access.put(
          field.key(),
          here.isEmpty()
              ? FieldAccess.none()
              : directly ? FieldAccess.direct() : names.accessor(field));
    }
    return access;
  }

  private Change assemble(ExtractedMembers members, CarriedCode carried, List<String> notes) {
    EditList edits = new EditList();
    new UseEdits(owner, members).collect(edits);
    new OwnerEdits(owner, members, arguments.wishes().passIn()).collect(edits);
    Widening widening = carried.widening();
    widening.collect(null, edits::add);
    widened = widening.names();
    boolean open = arguments.wishes().passIn().isPresent();
    boolean stored = overruled.wasMet(RefusalKind.SERIALIZED);
    List<Piece> text = new NewClassText(owner, members, carried, open, stored).pieces();
    String path = owner.trees().path();
    EditedFiles edited = new EditedFiles(owner.program());
    List<ChangedFile> files = new ArrayList<>();
    if (type.nested()) {
      edits.add(path, atEnd(text));
    } else {
      List<Piece> pieces = new ArrayList<>(new NewClassImports(owner, members, carried).pieces());
      pieces.addAll(text);
      if (type.elsewhere()) {
        imported(edits);
      }
      files.add(
          new NewFileHead(type.owner(), type.packageName())
              .file(type.name(), pieces, edited::source));
    }
    files.addAll(edited.of(edits));
    Set<String> affected = new TreeSet<>();
    owner.program().units().forEach(unit -> affected.add(unit.path()));
    files.forEach(file -> affected.add(file.path()));
    ExtractReport report = new ExtractReport(members);
    return new Change(
        report.summary(),
        files,
        report.became(),
        report.becameForSelf(),
        affected,
        report.report(widening.announced(), notes).assuming(assumptions()));
  }

  private List<Assumption> assumptions() {
    List<String> names = new ArrayList<>(namesWithout(Set.of()));
    OnlookersFromOutside.assume(owner, names);
    return owner.assumptions().all();
  }

  /** Files of the old package that name a class of another need an import. */
  private void imported(EditList edits) {
    NewImport added =
        new NewImport(
            type.qualifiedName(),
            text -> text.text(type.packageName() + ".").name(type.name(), type.key()));
    for (String file : edits.writing(type.key())) {
      UnitTrees trees = new UnitTrees(owner.program(), owner.program().unit(file).orElseThrow());
      edits.add(file, added.in(trees));
    }
  }

  /** Puts a class at the end of the owner. */
  private Replacement atEnd(List<Piece> pieces) {
    LastMember last = LastMember.of(owner);
    List<Piece> all = new ArrayList<>(List.of(Written.plain(last.before())));
    all.addAll(pieces);
    return new Replacement(last.at(), last.at(), all, List.of());
  }
}
