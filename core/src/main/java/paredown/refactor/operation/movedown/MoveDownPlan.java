package paredown.refactor.operation.movedown;

import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Self;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.carry.DocsElsewhere;
import paredown.refactor.carry.FieldPlace;
import paredown.refactor.carry.Landing;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.DocReference;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.Widening;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.FileNames;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** Works out what a class below gets, or why it cannot. */
final class MoveDownPlan {
  private final MoveDown arguments;
  private final Going going;
  private final OwnerClass parent;
  private final OwnerClass child;
  private final Program program;
  private final EditList edits = new EditList();
  private final FileNames names;
  private final Widening widening;
  private final CodeBelow code;
  private final Layout layout;
  private final Map<String, String> became = new LinkedHashMap<>();

  MoveDownPlan(MoveDown arguments, Going going) {
    this.arguments = arguments;
    this.going = going;
    this.parent = going.parent();
    this.child = going.child();
    this.program = parent.program();
    this.names = new FileNames(program, edits);
    this.widening = new Widening(program);
    this.code = new CodeBelow(going, names.of(child.trees()), widening);
    this.layout = Layout.of(child, Layout.of(parent).unit());
    going.keys().values().forEach(key -> became.put(key, going.below(key)));
  }

  Change change() {
    Overruled overruled = new Overruled(arguments.accepted());
    new MoveDownChecks(going, overruled).require(MemberUses.of(program, going.keys()));
    fields();
    methods();
    for (int[] range : MemberRange.merged(parent.source(), ranges())) {
      int[] gone = MemberRange.withGap(parent.source(), range);
      edits.add(parent.trees().path(), Replacement.removal(gone[0], gone[1]));
    }
    links();
    widening.collect(null, edits::add);
    OnlookersFromOutside.assume(parent, List.copyOf(going.names()));
    names.addImports();
    return new Change(
        "%s has %s now, which %s had."
            .formatted(
                child.writtenName(), Listed.of(List.copyOf(going.names())), parent.writtenName()),
        new EditedFiles(program).of(edits),
        became,
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(api(), widening.announced(), List.of(), overruled.notes())
            .assuming(parent.assumptions().all()));
  }

  private List<MemberRange> ranges() {
    List<MemberRange> ranges = new ArrayList<>();
    going.fields().forEach(each -> ranges.add(each.range()));
    going.methods().forEach(each -> ranges.add(each.range()));
    return ranges;
  }

  private List<String> api() {
    List<String> api = new ArrayList<>();
    going
        .methods()
        .forEach(
            each -> {
              if (AccessLevel.isApi(each.element())) {
                api.add(
                    "the method %s#%s goes"
                        .formatted(parent.writtenName(), OwnerClass.signature(each)));
              }
            });
    going
        .fields()
        .forEach(
            each -> {
              if (AccessLevel.isApi(each.element())) {
                api.add("the field %s#%s goes".formatted(parent.writtenName(), each.name()));
              }
            });
    return api;
  }

  private void fields() {
    if (going.fields().isEmpty()) {
      return;
    }
    FieldPlace place = FieldPlace.ofInstance(child, layout);
    List<Piece> pieces = new ArrayList<>();
    String gap = layout.lineEnd() + layout.lineEnd();
    int last = going.fields().size() - 1;
    for (int i = 0; i <= last; i++) {
      OwnerClass.Field field = going.fields().get(i);
      boolean more = i < last && place.behind().equals(gap);
      pieces.add(Written.plain(place.before()));
      pieces.add(carried(field.range(), field.path(), field.name()));
      pieces.add(Written.plain(more ? layout.lineEnd() : place.behind()));
    }
    edits.add(child.trees().path(), new Replacement(place.at(), place.at(), pieces, List.of()));
  }

  private void methods() {
    if (going.methods().isEmpty()) {
      return;
    }
    Landing landing = new Landing(child);
    List<Piece> pieces = new ArrayList<>();
    String before = landing.before();
    for (OwnerClass.Method method : going.methods()) {
      pieces.add(Written.plain(before + layout.member()));
      pieces.add(carried(method.range(), method.path(), method.name()));
      pieces.add(Written.plain(layout.lineEnd()));
      before = layout.lineEnd();
    }
    pieces.add(Written.plain(landing.behind()));
    edits.add(
        child.trees().path(), new Replacement(landing.start(), landing.end(), pieces, List.of()));
  }

  private Carried carried(MemberRange range, TreePath path, String name) {
    int[] signs = range.signs(parent.source());
    List<Replacement> inside = new ArrayList<>(code.edits(path, name));
    List<Replacement> docs =
        new DocsElsewhere(parent.trees(), names.of(child.trees()), child.element(), became)
            .edits(signs[0], range.declaration());
    inside.addAll(docs);
    return new Carried(
        parent.trees().path(),
        signs[0],
        signs[1],
        inside,
        Layout.of(parent).to(layout),
        new Self(parent.binaryName(), child.binaryName(), code.variables()));
  }

  /** Links in comments that stay name the class below. */
  private void links() {
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      for (Use use : program.uses().in(unit.path()).toList()) {
        boolean meant = use.isDoc() && became.containsKey(use.key());
        boolean along =
            unit.path().equals(parent.trees().path())
                && ranges().stream()
                    .anyMatch(each -> each.start() <= use.offset() && use.offset() < each.end());
        if (meant && !along) {
          link(use, trees);
        }
      }
    }
  }

  private void link(Use use, UnitTrees trees) {
    int end = DocReference.end(trees.source(), use.offset());
    String said = trees.source().slice(use.offset(), end);
    String member = said.substring(Math.max(0, said.indexOf('#')));
    String type = names.of(trees).knownOrFull(child.element(), null);
    edits.add(
        trees.path(),
        Replacement.of(
            use.offset(),
            end,
            Written.text("")
                .here(UseKind.DOC, became.get(use.key()), use.place())
                .text(type + member)
                .done()));
  }
}
