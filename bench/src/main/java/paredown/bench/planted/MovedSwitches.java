package paredown.bench.planted;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import paredown.facts.FieldFact;
import paredown.facts.TypeFact;
import paredown.smell.Smell;

/** Puts switches over the number codes of a class into another class, and looks for them. */
public final class MovedSwitches {
  private static final int CODES = 3;
  private static final int MOST = 12;

  private final Planting planting;
  private final Random random;

  public MovedSwitches(Planting planting, Random random) {
    this.planting = planting;
    this.random = random;
  }

  private record Move(TypeFact home, List<String> codes, TypeFact wrong) {}

  public Tally run() {
    List<Move> moves = moves();
    moves.forEach(this::plant);
    Planting.Result result = planting.survey();
    int planted = 0;
    List<String> missed = new ArrayList<>();
    for (Move move : moves) {
      if (!result.faulty().contains(move.wrong().range().file())) {
        planted++;
        boolean found =
            result.findings().stream()
                .filter(finding -> finding.smell() == Smell.KIND_BRANCH)
                .filter(finding -> finding.type().equals(move.home().name()))
                .flatMap(finding -> finding.evidence().rows().stream())
                .anyMatch(row -> row.file().equals(move.wrong().range().file()));
        if (!found) {
          missed.add(move.home().simpleName() + " in " + move.wrong().simpleName());
        }
      }
    }
    return new Tally(planted, missed);
  }

  private List<Move> moves() {
    List<TypeFact> types = planting.classes(random);
    List<Move> moves = new ArrayList<>();
    for (TypeFact home : types) {
      List<String> codes = codes(home);
      if (codes.size() >= CODES) {
        types.stream()
            .filter(wrong -> wrong != home && !wrong.isKinOf(home))
            .filter(wrong -> Planting.packageOf(wrong).equals(Planting.packageOf(home)))
            .findFirst()
            .ifPresent(wrong -> moves.add(new Move(home, codes, wrong)));
      }
    }
    return moves.subList(0, Math.min(MOST, moves.size()));
  }

  /** Constant whole numbers that other classes of the package see. */
  private static List<String> codes(TypeFact type) {
    return type.fields().stream()
        .filter(field -> field.isConstant() && !field.isPrivate() && field.type().equals("int"))
        .filter(field -> !Set.of("serialVersionUID").contains(field.name()))
        .map(FieldFact::name)
        .limit(CODES + 1)
        .toList();
  }

  private void plant(Move move) {
    StringBuilder method =
        new StringBuilder("\n  static String toldByCode(int code) {\n    switch (code) {\n");
    for (String code : move.codes()) {
      method.append(
          "      case %s.%s:\n        return \"%s\";\n"
              .formatted(move.home().simpleName(), code, code.toLowerCase(java.util.Locale.ROOT)));
    }
    method.append("      default:\n        return \"\";\n    }\n  }\n");
    int at = planting.end(move.wrong().range()) - 1;
    planting.replace(move.wrong().range().file(), at, at, method.toString());
  }
}
