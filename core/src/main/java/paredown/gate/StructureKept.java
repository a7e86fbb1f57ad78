package paredown.gate;

import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Region;
import paredown.edit.Run;
import paredown.program.Program;
import paredown.program.Unit;

/**
 * The part of <em>bindings kept</em> that looks at how names are put together: what was carried is
 * still one expression or statement of the same kind, its parts are in their order and roles, and
 * it has its type.
 *
 * <p>Each statement and expression of a changed file is looked for in the old text by where its
 * ends come from. A piece that was put in the place of an old one counts with the old one's ends.
 */
final class StructureKept {
  private static final Set<Tree.Kind> LISTS =
      Set.of(
          Tree.Kind.BLOCK,
          Tree.Kind.CASE,
          Tree.Kind.METHOD_INVOCATION,
          Tree.Kind.NEW_CLASS,
          Tree.Kind.NEW_ARRAY,
          Tree.Kind.SWITCH,
          Tree.Kind.TRY,
          Tree.Kind.VARIABLE,
          Tree.Kind.ASSIGNMENT,
          Tree.Kind.RETURN,
          Tree.Kind.MEMBER_SELECT,
          Tree.Kind.PARAMETERIZED_TYPE,
          Tree.Kind.LAMBDA_EXPRESSION);

  private static final Set<Tree.Kind> CHOICES =
      Set.of(Tree.Kind.IF, Tree.Kind.CONDITIONAL_EXPRESSION);

  private final Program before;
  private final Program after;
  private final Map<String, Nodes> old = new HashMap<>();
  private final Set<String> selfTypes = new HashSet<>();
  private final List<String> breaks = new ArrayList<>();
  private final List<String> types = new ArrayList<>();
  private final ExpressionTypes expressions;

  private StructureKept(Program before, Program after, Change change) {
    this.before = before;
    this.after = after;
    this.expressions = new ExpressionTypes(before, after, change);
    for (ChangedFile file : change.files()) {
      for (Run run : file.runs()) {
        if (run.self() != null) {
          selfTypes.add(run.self().oldType());
        }
      }
    }
  }

  /**
   * What is otherwise than before.
   *
   * @param structure what is put together otherwise
   * @param types the expressions that have another type
   */
  record Breaks(List<String> structure, List<String> types) {}

  static Breaks breaks(Program before, Program after, Change change) {
    StructureKept kept = new StructureKept(before, after, change);
    for (ChangedFile file : change.files()) {
      after.unit(file.path()).ifPresent(unit -> kept.compare(file, unit));
    }
    return new Breaks(kept.breaks, kept.types);
  }

  private Nodes old(String file) {
    return old.computeIfAbsent(
        file, path -> before.unit(path).map(unit -> Nodes.of(before, unit)).orElse(null));
  }

  private void compare(ChangedFile file, Unit unit) {
    Nodes now = Nodes.of(after, unit);
    Intervals<Region> regions = new Intervals<>(file.regions(), Region::start, Region::end);
    Map<Nodes.Node, Nodes.Node> was = new HashMap<>();
    for (Nodes.Node node : now.all()) {
      List<Region> near = regions.touching(node.start(), node.end());
      if (near.stream().anyMatch(region -> isLonger(region, node))) {
        continue;
      }
      if (near.stream().anyMatch(region -> region.cuts(node.start(), node.end()))) {
        broke(unit, node, "is not the whole of what stood there, or of what was put there");
        continue;
      }
      find(file, near, node)
          .ifPresentOrElse(
              origin -> was.put(node, origin),
              () -> {
                if (!isWritten(file, near, node) && !isFolded(unit, node)) {
                  broke(unit, node, "was put together otherwise before");
                }
              });
    }
    for (Map.Entry<Nodes.Node, Nodes.Node> entry : was.entrySet()) {
      if (!isTurned(regions, entry.getKey(), entry.getValue(), was)) {
        compareParts(unit, entry.getKey(), entry.getValue(), was);
      }
      expressions
          .instead(file, regions, entry.getKey(), entry.getValue())
          .ifPresent(what -> types.add(sentence(unit, entry.getKey(), what)));
    }
  }

  /** Whether the parser has made one literal of several with plus signs between. */
  private static boolean isFolded(Unit unit, Nodes.Node node) {
    return node.kind() == Tree.Kind.STRING_LITERAL
        && unit.source().codeTokenFrom(node.start()).end() < node.end();
  }

  /**
   * Whether a region took the place of a name behind a dot, and a node ends within it. What follows
   * a dot binds closer than anything else, so that only the way to the object is longer.
   */
  private boolean isLonger(Region region, Nodes.Node node) {
    boolean ways =
        node.kind() == Tree.Kind.MEMBER_SELECT || node.kind() == Tree.Kind.METHOD_INVOCATION;
    if (!ways || node.start() >= region.start() || !region.cuts(node.start(), node.end())) {
      return false;
    }
    return before
        .unit(region.origin())
        .map(Unit::source)
        .filter(source -> region.from() > 0 && source.isBehindDot(region.from()))
        .isPresent();
  }

  /** An end of a node, in a file of the old text. */
  private record End(String file, int offset, boolean ofRegion) {}

  /** What a node was in the old text; empty where it was not there. */
  private Optional<Nodes.Node> find(ChangedFile file, List<Region> near, Nodes.Node node) {
    List<End> starts = starts(file, near, node);
    List<End> ends = ends(file, near, node);
    if (node.kind() == Tree.Kind.CASE) {
      return starts.stream()
          .filter(start -> old(start.file()) != null)
          .flatMap(start -> old(start.file()).caseAt(start.offset()).stream())
          .findFirst();
    }
    Optional<Nodes.Node> loose = Optional.empty();
    for (End start : starts) {
      for (End end : ends) {
        if (!start.file().equals(end.file()) || old(start.file()) == null) {
          continue;
        }
        Nodes nodes = old(start.file());
        Optional<Nodes.Node> same = nodes.at(start.offset(), end.offset(), node.kind());
        if (same.isPresent()) {
          return same;
        }
        boolean replaced = start.ofRegion() || end.ofRegion();
        Optional<Nodes.Node> other =
            nodes.at(start.offset(), end.offset()).stream()
                .filter(each -> each.isExpression() == node.isExpression())
                .findFirst();
        if (replaced && other.isPresent()) {
          loose = other;
        }
      }
    }
    return loose;
  }

  /** Where it began; what begins with a region and goes on behind it began where that did. */
  private static List<End> starts(ChangedFile file, List<Region> near, Nodes.Node node) {
    int at = node.start();
    List<End> found = new ArrayList<>();
    file.runAt(at).ifPresent(run -> found.add(new End(run.origin(), run.originOf(at), false)));
    near.stream()
        .filter(region -> region.start() == at && region.end() <= node.end())
        .filter(region -> region.kind() == Region.Kind.REPLACED)
        .forEach(region -> found.add(new End(region.origin(), region.from(), true)));
    return found;
  }

  /** Where it ended, likewise. */
  private static List<End> ends(ChangedFile file, List<Region> near, Nodes.Node node) {
    int at = node.end();
    List<End> found = new ArrayList<>();
    file.runAt(at - 1)
        .ifPresent(run -> found.add(new End(run.origin(), run.originOf(at - 1) + 1, false)));
    near.stream()
        .filter(region -> region.end() == at && region.start() >= node.start())
        .filter(region -> region.kind() == Region.Kind.REPLACED)
        .forEach(region -> found.add(new End(region.origin(), region.to(), true)));
    return found;
  }

  /** Whether a node stands within what a change wrote, and not within what that carries. */
  private static boolean isWritten(ChangedFile file, List<Region> near, Nodes.Node node) {
    Region innermost = null;
    for (Region region : near) {
      boolean closer =
          region.holds(node.start(), node.end())
              && (innermost == null || innermost.holds(region.start(), region.end()));
      innermost = closer ? region : innermost;
    }
    return innermost == null
        ? file.isNew()
        : innermost.kind() == Region.Kind.REPLACED
            || innermost.start() == node.start() && innermost.end() == node.end();
  }

  /**
   * Whether the branches of a choice have changed places, and its condition was put in the place of
   * another with a proof that it says the opposite.
   */
  private static boolean isTurned(
      Intervals<Region> regions, Nodes.Node now, Nodes.Node then, Map<Nodes.Node, Nodes.Node> was) {
    if (!CHOICES.contains(now.kind()) || now.kind() != then.kind() || now.parts().size() != 3) {
      return false;
    }
    Nodes.Node condition = now.parts().get(0);
    boolean proven =
        regions.touching(condition.start(), condition.end()).stream()
            .filter(
                region -> condition.start() <= region.start() && region.end() <= condition.end())
            .anyMatch(region -> region.kind() == Region.Kind.REPLACED && !region.proof().isEmpty());
    return proven
        && then.parts().size() == 3
        && then.parts().get(2).equals(was.get(now.parts().get(1)))
        && then.parts().get(1).equals(was.get(now.parts().get(2)));
  }

  /** The parts that both have must be in the same order, and in the same roles where roles tell. */
  private void compareParts(
      Unit unit, Nodes.Node now, Nodes.Node then, Map<Nodes.Node, Nodes.Node> was) {
    if (now.kind() != then.kind()) {
      return;
    }
    boolean list = LISTS.contains(now.kind());
    Nodes.Node given = givenAround(now, then, was);
    int last = -1;
    for (int i = 0; i < now.parts().size(); i++) {
      Nodes.Node part = was.get(now.parts().get(i));
      if (part != null && part.equals(given)) {
        continue;
      }
      int index = part == null ? -1 : part.indexIn(then);
      if (index < 0) {
        continue;
      }
      if (index <= last || !list && index != i) {
        broke(unit, now.parts().get(i), "is in another place than it was");
        return;
      }
      last = index;
    }
    if (!list && now.parts().size() != then.parts().size()) {
      broke(unit, now, "has other parts than it had");
    }
  }

  /**
   * The object that an object of an inner class was made for, and that is the first value given to
   * its constructor now: it is worked out before the other values both times; null for all else.
   */
  private static Nodes.Node givenAround(
      Nodes.Node now, Nodes.Node then, Map<Nodes.Node, Nodes.Node> was) {
    boolean released =
        then.path().getLeaf() instanceof NewClassTree old
            && now.path().getLeaf() instanceof NewClassTree made
            && old.getEnclosingExpression() != null
            && made.getEnclosingExpression() == null
            && made.getTypeArguments().isEmpty();
    Nodes.Node around = released ? then.parts().get(0) : null;
    return released && now.parts().size() > 1 && around.equals(was.get(now.parts().get(1)))
        ? around
        : null;
  }

  private void broke(Unit unit, Nodes.Node node, String what) {
    breaks.add(sentence(unit, node, what));
  }

  private static String sentence(Unit unit, Nodes.Node node, String what) {
    String text = unit.source().slice(node.start(), node.end()).replaceAll("\\s+", " ");
    String shown = text.length() > 60 ? text.substring(0, 60) + "…" : text;
    return unit.source().place(node.start()) + " " + shown + " " + what;
  }
}
