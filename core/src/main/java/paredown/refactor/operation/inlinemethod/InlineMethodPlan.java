package paredown.refactor.operation.inlinemethod;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Modifier;
import paredown.UnusableRequest;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.program.Program;
import paredown.program.Use;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.GoneLink;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Place;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.StaticImports;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.Widening;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.ReflectionCheck;
import paredown.refactor.use.Ties;
import paredown.text.Counted;

/** Works out what stands where a method was called, or why nothing can. */
final class InlineMethodPlan {
  private final InlineMethod arguments;
  private final OwnerClass owner;
  private final OwnerClass.Method method;
  private final Program program;
  private final EditList edits = new EditList();
  private final Map<String, TypeNames> names = new LinkedHashMap<>();
  private final Widening widening;

  InlineMethodPlan(InlineMethod arguments, OwnerClass owner, OwnerClass.Method method) {
    this.arguments = arguments;
    this.owner = owner;
    this.method = method;
    this.program = owner.program();
    this.widening = new Widening(program);
  }

  Change change() {
    requireOneMeaning();
    List<Call> calls = calls();
    Body body = Body.of(owner, method);
    BodyNames inBody = new BodyNames(owner, method);
    CalmCalls calm = new CalmCalls(program);
    OwnersStart start = new OwnersStart(owner, method, body, inBody, calm);
    SeenThere seen = new SeenThere(owner, method, inBody, widening);
    List<Piece> carried = new ArrayList<>();
    Set<String> notes = new LinkedHashSet<>();
    TakenNames taken = new TakenNames();
    Set<String> commented = new HashSet<>();
    for (Call call : calls) {
      boolean first = call == calls.get(0) && !arguments.stays();
      TypeNames types =
          names.computeIfAbsent(
              call.trees().path(), path -> new TypeNames(call.trees(), program.symbols()::key));
      TypesThere there = new TypesThere(owner, method, call);
      Given values =
          new Given(owner, method, body, inBody, call, types, there, calm, owner.assumptions());
      values.requireObject();
      start.require(call, values, arguments.accepted());
      seen.require(call, values);
      Site site = new Site(owner, inBody, call, values, types, there, taken.near(call), first);
      SiteCode code = new SiteCode(body, call, values, site, types, first);
      Inlined inlined = new Inlined(code, calm, owner.assumptions(), commented);
      inlined.edits().forEach(each -> edits.add(call.trees().path(), each));
      carried.addAll(code.carried());
      taken.add(call, site.names().left());
      values.all().stream().filter(Value::runsOften).forEach(each -> notes.add(note(call)));
    }
    if (!arguments.stays()) {
      remove(body, carried);
      unlink(notes);
    }
    widening.collect(null, edits::add);
    names.forEach((file, types) -> types.imports().forEach(each -> edits.add(file, each)));
    OnlookersFromOutside.assume(
        owner, method.is(Modifier.PRIVATE) ? List.of() : List.of(method.name()));
    return new Change(
        summary(calls.size()),
        new EditedFiles(program).of(edits),
        Map.of(),
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(api(), widening.announced(), List.of(), List.copyOf(notes))
            .assuming(owner.assumptions().all()));
  }

  private String summary(int calls) {
    return "%s of %s %s; its code stands where it was called%s."
        .formatted(
            OwnerClass.signature(method),
            owner.writtenName(),
            arguments.stays() ? "stays" : "goes",
            calls == 1 ? "" : ": in " + Counted.of(calls, "place", "places"));
  }

  private static String note(Call call) {
    return "What is given in %s calls something, which runs more often now."
        .formatted(call.place());
  }

  private List<String> api() {
    return !arguments.stays() && AccessLevel.isApi(method.element())
        ? List.of("%s#%s is gone".formatted(owner.writtenName(), OwnerClass.signature(method)))
        : List.of();
  }

  /** Requires that a call runs this method and no other, and that nobody else needs it. */
  private void requireOneMeaning() {
    boolean bodiless = method.tree().getBody() == null;
    if (bodiless || method.tree().getReturnType() == null) {
      throw refused(
          RefusalKind.NO_BODY,
          bodiless ? "it has no code" : "it makes objects, which code does not");
    }
    if (Ties.isOverridden(owner, method)) {
      throw refused(RefusalKind.OVERRIDDEN, "a class below has its own");
    }
    if (method.is(Modifier.SYNCHRONIZED)) {
      throw refused(RefusalKind.LOCKED, "it locks its object while it runs");
    }
    if (!arguments.stays()) {
      boolean accepted = arguments.accepted().contains(RefusalKind.MAPPED_FIELD);
      Ties.of(owner, method)
          .filter(why -> !accepted || !why.startsWith("@"))
          .ifPresent(
              why -> {
                throw refused(RefusalKind.DELEGATE_NEEDED, why)
                    .with("Say --keep, so that it stays.");
              });
      new ReflectionCheck(owner, Map.of(method.element(), method.key()))
          .requireUnless(arguments.accepted().contains(RefusalKind.REFLECTED));
    }
  }

  private Refused refused(RefusalKind kind, String why) {
    return Refused.advising(
        kind,
        "%s cannot be inlined: %s.".formatted(OwnerClass.signature(method), why),
        "",
        owner.trees().place(method.tree()));
  }

  /** Links to the method become words, since it goes. */
  private void unlink(Set<String> notes) {
    program.uses().of(method.key()).stream()
        .filter(Use::isDoc)
        .filter(use -> !isOwn(use.file(), use.offset()))
        .forEach(use -> unlink(use, notes));
  }

  private void unlink(Use use, Set<String> notes) {
    UnitTrees trees = new UnitTrees(program, program.unit(use.file()).orElseThrow());
    String place = trees.source().place(use.offset());
    Replacement words =
        GoneLink.replacement(trees, use)
            .orElseThrow(
                () ->
                    refused(RefusalKind.CALL_SHAPE, "a comment links to it")
                        .at(List.of(place))
                        .with("Change the comment first, or say --keep."));
    edits.add(use.file(), words);
    notes.add("The link to %s in %s is plain text now.".formatted(method.name(), place));
  }

  private boolean isOwn(String file, int offset) {
    return file.equals(owner.trees().path())
        && method.range().start() <= offset
        && offset < method.range().end();
  }

  /** The calls that are meant, in the order of their files and places. */
  private List<Call> calls() {
    List<MemberUses.MemberUse> uses =
        MemberUses.of(program, Map.of(method.element(), method.key())).stream()
            .filter(use -> !use.isImport())
            .filter(use -> arguments.at().isEmpty() || isAt(use))
            .filter(use -> !arguments.stays() || use.access() == MemberUses.Access.CALL)
            .toList();
    if (uses.isEmpty()) {
      throw new UnusableRequest(
          "%s calls %s of %s."
              .formatted(
                  arguments.at().map(place -> "Nothing in " + place).orElse("Nothing"),
                  OwnerClass.signature(method),
                  owner.writtenName()),
          "Give a method that is called"
              + (arguments.at().isEmpty() ? "." : ", and a line in which it is."));
    }
    List<Call> calls = new ArrayList<>();
    for (MemberUses.MemberUse use : uses) {
      Call call = Call.of(use);
      if (call.asksSuper()) {
        throw refused(RefusalKind.SUPER_CALL, "a class below calls it by super")
            .at(List.of(call.place()));
      }
      calls.add(call);
    }
    requireApart(calls);
    return calls;
  }

  private boolean isAt(MemberUses.MemberUse use) {
    Place place = Place.of(arguments.at().orElseThrow());
    return place.path(program.sources(), program.sources().index()).equals(use.file())
        && place.holds(use.trees().source(), use.offset());
  }

  private static void requireApart(List<Call> calls) {
    for (Call outer : calls) {
      for (Call inner : calls) {
        boolean within =
            outer != inner
                && outer.trees().path().equals(inner.trees().path())
                && outer.start() <= inner.start()
                && inner.end() <= outer.end();
        if (within) {
          throw Refused.advising(
              RefusalKind.CALL_SHAPE,
              "A call stands within another of the same method.",
              "Inline one of the two first, with --at and its columns.",
              outer.place());
        }
      }
    }
  }

  /** The declaration goes, with its comments, and so do static imports of it. */
  private void remove(Body body, List<Piece> carried) {
    List<int[]> kept =
        carried.stream()
            .filter(Carried.class::isInstance)
            .map(Carried.class::cast)
            .map(each -> new int[] {each.start(), each.end()})
            .toList();
    body.requireNoCommentBeside(kept);
    UnitTrees trees = owner.trees();
    int[] range =
        MemberRange.withGap(
            trees.source(), new int[] {method.range().start(), method.range().end()});
    edits.add(
        trees.path(),
        Rewriting.removal(trees, range[0], range[1], "its code stands where it was called", carried)
            .proving("its code stands where it was called"));
    StaticImports.remove(owner, List.of(method.element()), edits::add);
  }
}
