package paredown.bench.planted;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.MethodFact.MemberUse;
import paredown.facts.TypeFact;
import paredown.measure.MemberGroups;
import paredown.program.Use;
import paredown.smell.Finding;
import paredown.smell.Smell;

/**
 * Puts half the methods that only read a class's fields into another class, which asks accessors
 * for them, and looks for what lives on the first class there.
 */
public final class HalvesMovedIn {
  private static final int DATA = 2;
  private static final int METHODS = 3;
  private static final int MOST = 8;
  private static final String SUBJECT = "subjectOfIt";

  private final Planting planting;
  private final Random random;

  public HalvesMovedIn(Planting planting, Random random) {
    this.planting = planting;
    this.random = random;
  }

  private record Half(TypeFact home, List<MethodFact> methods, TypeFact wrong) {}

  public Tally run() {
    List<Half> halves = halves();
    halves.forEach(this::plant);
    Planting.Result result = planting.survey();
    int planted = 0;
    List<String> missed = new ArrayList<>();
    for (Half half : halves) {
      if (!result.faulty().contains(half.wrong().range().file())
          && !result.faulty().contains(half.home().range().file())) {
        planted++;
        if (result.findings().stream().noneMatch(finding -> isFor(finding, half))) {
          missed.add(half.home().simpleName() + " in " + half.wrong().simpleName());
        }
      }
    }
    return new Tally(planted, missed);
  }

  private static boolean isFor(Finding finding, Half half) {
    boolean envy =
        finding.smell() == Smell.FEATURE_ENVY
            && finding.evidence().foreign().stream()
                .anyMatch(field -> field.startsWith(half.home().name() + "#"));
    boolean whole = finding.smell() == Smell.GOD_CLASS || finding.smell() == Smell.DIVERGENT_CHANGE;
    return finding.type().equals(half.wrong().name()) && (envy || whole);
  }

  private List<Half> halves() {
    List<TypeFact> types = planting.classes(random);
    Set<TypeFact> used = new HashSet<>();
    List<Half> halves = new ArrayList<>();
    for (TypeFact home : types) {
      List<MethodFact> readers =
          home.methods().stream().filter(method -> isReader(home, method)).toList();
      if (readers.size() >= METHODS && !used.contains(home)) {
        types.stream()
            .filter(wrong -> wrong != home && !used.contains(wrong) && !wrong.isKinOf(home))
            .filter(wrong -> Planting.packageOf(wrong).equals(Planting.packageOf(home)))
            .filter(wrong -> !wrong.simpleName().endsWith("Builder"))
            .findFirst()
            .ifPresent(
                wrong -> {
                  used.add(home);
                  used.add(wrong);
                  int half = Math.max(METHODS, readers.size() / 2);
                  halves.add(new Half(home, readers.subList(0, half), wrong));
                });
      }
    }
    return halves.subList(0, Math.min(MOST, halves.size()));
  }

  /** Whether a method reads fields of its object, and uses nothing else of its class. */
  private static boolean isReader(TypeFact home, MethodFact method) {
    Set<String> instance =
        home.instanceFields().stream().map(FieldFact::name).collect(Collectors.toSet());
    List<MemberUse> own =
        method.uses().stream()
            .filter(use -> use.type().equals(home.name()) || home.supertypes().contains(use.type()))
            .toList();
    long alike = home.methods().stream().filter(m -> m.name().equals(method.name())).count();
    return MemberGroups.ties(method)
        && !method.overrides()
        && !method.isAccessor()
        && alike == 1
        && method.head().annotations().isEmpty()
        && own.size() >= DATA
        && own.stream()
            .allMatch(use -> use.kind() == MemberUse.Kind.READ && instance.contains(use.member()));
  }

  private void plant(Half half) {
    String file = half.home().range().file();
    String to = half.wrong().range().file();
    Set<String> asked = new LinkedHashSet<>();
    StringBuilder moved = new StringBuilder();
    for (MethodFact method : half.methods()) {
      moved.append("\n  ").append(moved(half.home(), method, asked)).append('\n');
      planting.replace(
          file, planting.start(method.range()), planting.end(method.range()), back(half, method));
    }
    StringBuilder accessors = new StringBuilder();
    for (FieldFact field : half.home().instanceFields()) {
      if (asked.contains(field.name())) {
        accessors.append(
            "\n  %s %s() { return %s; }\n"
                .formatted(field.type(), getter(field.name()), field.name()));
      }
    }
    int homeEnd = planting.end(half.home().range()) - 1;
    planting.replace(file, homeEnd, homeEnd, accessors.toString());
    int end = planting.end(half.wrong().range()) - 1;
    planting.replace(to, end, end, moved.toString());
    planting.takeImports(file, to);
  }

  private static String getter(String field) {
    return "quayOf" + field;
  }

  /** A method as a static one of another class, which asks for each field. */
  private String moved(TypeFact home, MethodFact method, Set<String> asked) {
    String file = home.range().file();
    int start = planting.start(method.range());
    Map<Integer, String> before = new HashMap<>();
    String field = "field " + Pattern.quote(home.name()) + "#.*";
    for (Use use : planting.names(file, start, planting.end(method.range()))) {
      if (use.key().equals("this of " + home.name())) {
        before.put(use.offset(), SUBJECT + "/*");
        before.put(use.offset() + "this".length(), "*/");
      } else if (use.key().matches(field)) {
        String name = use.key().substring(use.key().indexOf('#') + 1).replaceAll("\\W.*", "");
        asked.add(name);
        boolean alone = planting.text(file).text().charAt(use.offset() - 1) != '.';
        before.merge(
            use.offset(), (alone ? SUBJECT + "." : "") + getter(name) + "()/*", String::concat);
        before.put(use.offset() + name.length(), "*/");
      }
    }
    String text = planting.slice(file, start, planting.end(method.range()), before);
    int open = text.indexOf('(', text.indexOf(" " + method.name() + "(")) + 1;
    String parameter = home.simpleName() + " " + SUBJECT;
    String head = text.substring(0, open).replaceAll("\\b(private|protected|public|final) ", "");
    return "static "
        + head
        + parameter
        + (method.parameters().isEmpty() ? "" : ", ")
        + text.substring(open);
  }

  /** What stays of a method: a call of the other class. */
  private String back(Half half, MethodFact method) {
    String text =
        planting
            .text(half.home().range().file())
            .slice(planting.start(method.range()), planting.end(method.range()));
    String given =
        method.parameters().stream().map(p -> ", " + p.name()).collect(Collectors.joining());
    return text.substring(0, text.indexOf('{') + 1)
        + (method.result().equals("void") ? " " : " return ")
        + "%s.%s(this%s); }".formatted(half.wrong().simpleName(), method.name(), given);
  }
}
