package paredown.bench.planted;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Modifier;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.Range;
import paredown.facts.TypeFact;
import paredown.measure.MemberGroups;
import paredown.program.Use;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Smell;

/** Moves methods that live on their class's data into another class, and looks for them. */
public final class MisplacedMethods {
  private static final int DATA = 3;
  private static final String SUBJECT = "subjectOfIt";

  private final Planting planting;
  private final Random random;

  public MisplacedMethods(Planting planting, Random random) {
    this.planting = planting;
    this.random = random;
  }

  private record Move(TypeFact home, MethodFact method, TypeFact wrong) {}

  /**
   * What came of it.
   *
   * @param found how many were found with the right target
   * @param among how many of the 50 weightiest findings were planted
   */
  public record Outcome(
      int planted, int found, List<String> missed, int top, int among, List<String> others) {}

  public Outcome run(int most) {
    List<Move> moves = moves(most);
    moves.forEach(this::plant);
    Planting.Result result = planting.survey();
    List<Finding> envies =
        result.findings().stream()
            .filter(finding -> finding.smell() == Smell.FEATURE_ENVY)
            .limit(50)
            .toList();
    Set<Finding> explained = new HashSet<>();
    List<String> missed = new ArrayList<>();
    int planted = 0;
    int found = 0;
    for (Move move : moves) {
      if (result.faulty().contains(move.home().range().file())
          || result.faulty().contains(move.wrong().range().file())) {
        continue;
      }
      planted++;
      List<Finding> right =
          result.findings().stream().filter(finding -> isFor(finding, move)).toList();
      explained.addAll(right);
      if (right.isEmpty()) {
        missed.add(
            move.home().simpleName()
                + "#"
                + move.method().name()
                + " in "
                + move.wrong().simpleName());
      } else {
        found++;
      }
    }
    List<String> others =
        envies.stream()
            .filter(finding -> !explained.contains(finding))
            .map(finding -> finding.shortType() + ": " + finding.summary())
            .toList();
    return new Outcome(
        planted, found, missed, envies.size(), envies.size() - others.size(), others);
  }

  private static boolean isFor(Finding finding, Move move) {
    return finding.form() == Form.METHOD
        && finding.type().equals(move.wrong().name())
        && finding.members().get(0).startsWith(move.method().name() + "(")
        && finding.evidence().foreign().stream()
            .allMatch(field -> field.startsWith(move.home().name() + "#"));
  }

  private List<Move> moves(int most) {
    List<TypeFact> types = planting.classes(random);
    Set<TypeFact> used = new HashSet<>();
    List<Move> moves = new ArrayList<>();
    for (TypeFact home : types) {
      for (MethodFact method : home.methods()) {
        if (!used.contains(home) && isMovable(home, method)) {
          types.stream()
              .filter(wrong -> wrong != home && !used.contains(wrong))
              .filter(wrong -> isWrong(home, method, wrong))
              .findFirst()
              .ifPresent(
                  wrong -> {
                    used.add(home);
                    used.add(wrong);
                    moves.add(new Move(home, method, wrong));
                  });
        }
      }
    }
    return moves.subList(0, Math.min(most, moves.size()));
  }

  private static boolean isMovable(TypeFact home, MethodFact method) {
    Set<String> instance =
        home.instanceFields().stream().map(FieldFact::name).collect(Collectors.toSet());
    Set<String> used = method.fieldsOf(home.name());
    used.retainAll(instance);
    boolean inherits =
        method.uses().stream().anyMatch(use -> home.supertypes().contains(use.type()));
    return MemberGroups.ties(method)
        && !method.overrides()
        && !method.isAccessor()
        && !method.head().is(Modifier.SYNCHRONIZED)
        && method.head().annotations().isEmpty()
        && !inherits
        && used.size() >= DATA;
  }

  /** Builders are never envious, by rule. */
  private static boolean isWrong(TypeFact home, MethodFact method, TypeFact wrong) {
    return Planting.packageOf(home).equals(Planting.packageOf(wrong))
        && !wrong.isKinOf(home)
        && !wrong.simpleName().endsWith("Builder")
        && !home.mentions().contains(wrong.name())
        && wrong.methods().stream().noneMatch(each -> each.name().equals(method.name()))
        && wrong.fields().stream().noneMatch(each -> each.name().equals(SUBJECT));
  }

  private void plant(Move move) {
    String file = move.home().range().file();
    int start = planting.start(move.method().range());
    int end = planting.end(move.method().range());
    Map<Integer, String> before = new HashMap<>();
    String owner = move.home().name();
    String simple = move.home().simpleName();
    String text = planting.text(file).slice(start, end);
    for (Use use : planting.names(file, start, end)) {
      boolean qualified =
          use.offset() > 0 && planting.text(file).text().charAt(use.offset() - 1) == '.';
      if (use.key().equals("this of " + owner)) {
        before.put(use.offset(), SUBJECT + "/*");
        before.put(use.offset() + "this".length(), "*/");
      } else if (use.key().matches("(field|method) " + java.util.regex.Pattern.quote(owner) + "#.*")
          && !qualified) {
        before.put(use.offset(), (planting.isImplicit(use) ? SUBJECT : simple) + ".");
      } else if (use.key().startsWith("type " + owner + "$") && !qualified) {
        before.put(use.offset(), simple + ".");
      }
    }
    String moved = planting.slice(file, start, end, before);
    int open = moved.indexOf('(', moved.indexOf(" " + move.method().name() + "(")) + 1;
    String parameter = simple + " " + SUBJECT + (move.method().parameters().isEmpty() ? "" : ", ");
    String header = moved.substring(0, open).replaceAll("\\b(private|protected|public|final) ", "");
    planting.replace(
        move.wrong().range().file(),
        planting.end(move.wrong().range()) - 1,
        planting.end(move.wrong().range()) - 1,
        "\n  static " + header + parameter + moved.substring(open) + "\n");
    planting.takeImports(file, move.wrong().range().file());
    boolean isVoid = move.method().result().equals("void");
    String back = text.substring(0, text.indexOf('{') + 1);
    String given =
        move.method().parameters().stream().map(p -> ", " + p.name()).collect(Collectors.joining());
    planting.replace(
        file,
        start,
        end,
        back
            + (isVoid ? " " : " return ")
            + "%s.%s(this%s); }".formatted(move.wrong().simpleName(), move.method().name(), given));
    open(move.home());
  }

  /** Lets the method's new class reach what it uses. */
  private void open(TypeFact home) {
    Set<Range> members = new HashSet<>();
    Set<Integer> opened = new HashSet<>();
    planting.facts().types().stream()
        .filter(type -> type.outer().equals(home.name()))
        .forEach(type -> members.add(type.range()));
    home.fields().forEach(field -> members.add(field.range()));
    home.methods().forEach(method -> members.add(method.range()));
    for (Range range : members) {
      int start = planting.start(range);
      String head = planting.text(range.file()).slice(start, planting.end(range));
      if (head.matches("(?s)private\\b.*") && opened.add(start)) {
        planting.replace(range.file(), start, start + "private".length(), "");
      }
    }
  }
}
