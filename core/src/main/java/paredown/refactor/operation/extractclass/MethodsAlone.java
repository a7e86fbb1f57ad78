package paredown.refactor.operation.extractclass;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javax.lang.model.element.Modifier;
import paredown.UnusableRequest;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.RecentPrograms;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.operation.close.CloseMembers;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/**
 * Methods that leave their class alone, without a field: the class forgets what they are about, and
 * each receives the object that it asks.
 */
record MethodsAlone(ExtractClass whole) {

  /**
   * A class that begins empty, and one move after the other.
   *
   * @throws Refused where there can be no such class
   * @throws UnusableRequest where an argument names nothing
   */
  Refactoring.Steps steps(Sources sources) {
    ExtractClass.Wishes wishes = whole.wishes();
    if (wishes.heldAs().isPresent() || wishes.passIn().isPresent()) {
      throw new UnusableRequest(
          whole.type() + " holds no object of a class that receives it each time.",
          "Leave --held-as and --pass-in out, or --delegate none.");
    }
    SourceIndex index = sources.index();
    DeclaredType header = index.type(whole.type());
    whole.requirePossible(header, sources, index);
    Program program = RecentPrograms.of(sources, Set.of(header.file()));
    OwnerClass owner = OwnerClass.of(program, header);
    List<OwnerClass.Method> methods = owner.methods(whole.methods());
    boolean open = isOpen(owner) && methods.stream().anyMatch(each -> each.is(Modifier.PUBLIC));
    String target = NewClass.of(owner, whole.name(), wishes).qualifiedName();
    List<Refactoring> steps = new ArrayList<>();
    steps.add(new BeginClass(whole, open));
    for (OwnerClass.Method method : methods) {
      steps.add(move(header.name(), method, target));
    }
    Set<String> closed =
        methods.stream()
            .filter(method -> method.is(Modifier.PRIVATE))
            .map(OwnerClass.Method::name)
            .collect(Collectors.toCollection(TreeSet::new));
    if (!closed.isEmpty()) {
      steps.add(new CloseMembers(whole, header.simpleName(), target, closed));
    }
    List<String> names = methods.stream().map(OwnerClass.Method::name).distinct().toList();
    String summary =
        "%s of %s %s to a class of %s own, %s, and %s the %s that %s."
            .formatted(
                Listed.of(names),
                owner.writtenName(),
                names.size() == 1 ? "goes" : "go",
                names.size() == 1 ? "its" : "their",
                whole.name(),
                names.size() == 1 ? "receives" : "receive",
                owner.simpleName(),
                names.size() == 1 ? "it asks" : "they ask");
    return new Refactoring.Steps(summary, steps);
  }

  private MoveMethod move(String type, OwnerClass.Method method, String target) {
    boolean already = method.is(Modifier.STATIC);
    Set<RefusalKind> accepted = new TreeSet<>(whole.wishes().accepted());
    accepted.retainAll(MoveMethod.acceptable());
    MoveMethod.Wishes wishes =
        new MoveMethod.Wishes(
            already ? Optional.empty() : Optional.of("static"),
            Optional.of(false),
            true,
            Optional.empty(),
            accepted);
    return new MoveMethod(type, OwnerClass.signature(method), target, wishes);
  }

  private static boolean isOpen(OwnerClass owner) {
    return owner.element().getModifiers().contains(Modifier.PUBLIC);
  }
}
