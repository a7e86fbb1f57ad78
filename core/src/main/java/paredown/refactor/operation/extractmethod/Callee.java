package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import paredown.UnusableRequest;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.Refused;
import paredown.refactor.alike.GivenField;
import paredown.refactor.alike.GivenLiteral;
import paredown.refactor.alike.Twin;
import paredown.refactor.alike.Twins;
import paredown.refactor.code.UnitTrees;

/** A place that says the same as a part, and could call the same method. */
record Callee(Twin twin, Extraction at, Shape shape) {

  /** The places of the class. */
  static List<Callee> of(Extraction part, Shape shape, List<VariableElement> parameters) {
    return of(Twins.of(part.trees(), part.owner(), part.part()).found(), part, shape, parameters)
        .stream()
        .filter(each -> each.at().owner().element().equals(part.owner().element()))
        .filter(each -> part.isStatic() || !each.at().isStatic())
        .toList();
  }

  /** The places in all files of a program, which call a static method. */
  static List<Callee> everywhere(
      Extraction part, Shape shape, List<VariableElement> parameters, Set<String> files) {
    List<Callee> callees = new ArrayList<>();
    Program program = part.trees().program();
    for (Unit unit : program.units()) {
      if (files.contains(unit.path())) {
        List<Twin> twins = Twins.in(new UnitTrees(program, unit), part.trees(), part.part());
        callees.addAll(of(twins, part, shape, parameters));
      }
    }
    return callees;
  }

  private static List<Callee> of(
      List<Twin> twins, Extraction part, Shape shape, List<VariableElement> parameters) {
    return twins.stream()
        .flatMap(twin -> of(twin).stream())
        .filter(callee -> callee.obstacle(part, shape, parameters).isEmpty())
        .toList();
  }

  /** A twin in its method; empty where it leaves that by a way that no method can. */
  private static Optional<Callee> of(Twin twin) {
    try {
      Extraction other = new Extraction(twin.trees(), twin.part());
      return Optional.of(new Callee(twin, other, other.shape()));
    } catch (Refused | UnusableRequest other) {
      return Optional.empty();
    }
  }

  /**
   * The place of its class that comes nearest to a part, and why it cannot call the same method;
   * empty where none says anything like it.
   */
  static Optional<String> nearest(Extraction part, Shape shape, List<VariableElement> parameters) {
    Twins twins = Twins.of(part.trees(), part.owner(), part.part());
    for (Twin twin : twins.found()) {
      String line = "line " + twin.trees().source().line(twin.part().start());
      Optional<Callee> callee = of(twin);
      if (callee.isEmpty()) {
        return Optional.of(line + " leaves by another way");
      }
      Optional<String> why = callee.get().obstacle(part, shape, parameters);
      if (why.isPresent()) {
        return why.map(each -> line + " " + each);
      }
    }
    return twins
        .commented()
        .map(line -> "line " + line + " has a comment of its own, which would be lost");
  }

  /** Why it cannot call the method of a part; empty where it can. */
  private Optional<String> obstacle(
      Extraction part, Shape other, List<VariableElement> parameters) {
    Program program = part.trees().program();
    boolean sameResult =
        shape.result() == other.result()
            && program.types().isSameType(shape.type(), other.type())
            && standFor(other.variables(), program)
            && (shape.result() != Shape.Result.LEAVES || at.jump().equals(part.jump()));
    if (!sameResult || !areAlikeSet(part, other)) {
      return Optional.of("gives something else");
    }
    boolean alike = declared(part).equals(declared(at));
    if (!alike || !parameters.stream().allMatch(each -> fits(part, each, program))) {
      return Optional.of("has variables of other types");
    }
    if (part.locals().inputs().stream()
        .anyMatch(each -> !parameters.contains(each) && isOther(each, other, program))) {
      return Optional.of("names other variables around its class");
    }
    if (at.locals().inputs().stream().anyMatch(each -> isMixed(each, program))) {
      return Optional.of("has one variable for several");
    }
    if (!GivenLiteral.fit(part.trees(), part.part(), twin)) {
      return Optional.of("has too many other literals, or others that no parameter can be");
    }
    return GivenField.fit(part.trees(), part.part(), twin)
        ? Optional.empty()
        : Optional.of("asks for or sets other fields, which it could not give");
  }

  /** The types of the variables that a part declares, told or not, in the order of the text. */
  private static List<String> declared(Extraction part) {
    List<String> types = new ArrayList<>();
    var scanner =
        new TreePathScanner<Void, Void>() {
          @Override
          public Void visitVariable(VariableTree tree, Void unused) {
            Element variable = part.trees().element(getCurrentPath());
            if (variable != null) {
              types.add(part.trees().program().types().erasure(variable.asType()).toString());
            }
            return super.visitVariable(tree, null);
          }
        };
    part.part().trees().forEach(path -> scanner.scan(path, null));
    return types;
  }

  /** Whether what it declares and sets stands for what another does, one for one. */
  private boolean standFor(List<VariableElement> others, Program program) {
    boolean all = shape.variables().size() == others.size();
    for (int i = 0; all && i < others.size(); i++) {
      all = twin.stands(shape.variables().get(i), others.get(i), program);
    }
    return all;
  }

  /** Whether each that it sets has a value before where the other's has one. */
  private boolean areAlikeSet(Extraction part, Shape other) {
    boolean alike = true;
    for (int i = 0; i < other.variables().size(); i++) {
      VariableElement one = shape.variables().get(i);
      VariableElement two = other.variables().get(i);
      alike &=
          at.locals().isOwn(one) == part.locals().isOwn(two)
              && (at.locals().isOwn(one) || at.locals().isUnset(one) == part.locals().isUnset(two));
    }
    return alike;
  }

  /** Whether something else stands here for what the method does not take, but sees. */
  private boolean isOther(VariableElement seen, Shape other, Program program) {
    return !other.variables().contains(seen) && !seen.equals(standing(seen, program));
  }

  /** Whether it sets a variable that stands for several. */
  private boolean isMixed(VariableElement variable, Program program) {
    return at.locals().isWritten(variable)
        && twin.shared().contains(program.symbols().key(variable));
  }

  /** The variable or field that stands here for one of the part; null where there is none. */
  VariableElement standing(VariableElement other, Program program) {
    return at.locals().inputs().stream()
        .filter(each -> twin.standsSomehow(each, other, program))
        .findFirst()
        .or(() -> twin.field(other, program))
        .orElse(null);
  }

  /** Where it stands. */
  String place() {
    return twin.trees().source().place(twin.part().start());
  }

  /** The fields that stand here for variables, and are only assumed to have one value. */
  Set<String> assumedFields(List<VariableElement> parameters, Program program) {
    return parameters.stream()
        .map(each -> standing(each, program))
        .filter(each -> each.getKind() == ElementKind.FIELD)
        .flatMap(each -> twin.assumed(each).stream())
        .collect(Collectors.toCollection(TreeSet::new));
  }

  /** Whether a variable stands here for one of the part that could take its value. */
  private boolean fits(Extraction part, VariableElement other, Program program) {
    VariableElement own = standing(other, program);
    return own != null
        && (twin.stands(own, other, program)
            || own.asType().getKind() != TypeKind.CHAR
                && GeneralType.of(part, other)
                    .filter(type -> program.types().isSubtype(own.asType(), type))
                    .isPresent());
  }

  /** Whether it gives a value of another type than the part has. */
  boolean isOtherType(VariableElement other, Program program) {
    return !twin.stands(standing(other, program), other, program);
  }
}
