package paredown.refactor.operation.movemethod;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.UnusableRequest;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.NewField;
import paredown.refactor.code.Writes;
import paredown.refactor.startup.FreshObject;
import paredown.refactor.startup.StaticStart;
import paredown.refactor.startup.SteadyFields;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.Ties;

/** What must hold before a method may be moved. */
final class MovedChecks {
  private final OwnerClass owner;
  private final OwnerClass target;
  private final OwnerClass.Method method;
  private final Through through;
  private final MoveMethod.Wishes wishes;
  private final Program program;
  private final String subject;
  private final String place;

  MovedChecks(
      OwnerClass owner,
      OwnerClass target,
      OwnerClass.Method method,
      Through through,
      MoveMethod.Wishes wishes) {
    this.owner = owner;
    this.target = target;
    this.method = method;
    this.through = through;
    this.wishes = wishes;
    this.program = owner.program();
    this.subject = OwnerClass.signature(method);
    this.place = owner.trees().place(method.tree());
  }

  void require() {
    if (method.tree().getBody() == null) {
      throw Refused.because(RefusalKind.NO_BODY, subject, place);
    }
    boolean gives = through instanceof Through.Callers;
    if (gives && Boolean.TRUE.equals(wishes.delegate().orElse(null))) {
      throw new UnusableRequest(
          "Where callers give the object, none can ask the old place of " + subject + ".",
          "Leave --delegate keep out, or say --through new.");
    }
    if (gives || Boolean.FALSE.equals(wishes.delegate().orElse(null))) {
      Ties.of(owner, method)
          .or(
              () ->
                  keepsObject() ? Optional.of("only that can ask the new field") : Optional.empty())
          .ifPresent(
              why -> {
                throw Refused.advising(
                    RefusalKind.DELEGATE_NEEDED,
                    "%s cannot leave its old place: %s.".formatted(subject, why),
                    "Say --delegate keep.",
                    place);
              });
    }
  }

  /** Whether the old place goes on forwarding. */
  boolean keepsDelegate() {
    return wishes
        .delegate()
        .orElseGet(
            () ->
                !(through instanceof Through.Callers)
                    && (!method.is(Modifier.PRIVATE)
                        || Ties.of(owner, method).isPresent()
                        || keepsObject()));
  }

  /** Whether the old place could go as well. */
  boolean couldLeaveNone() {
    return Ties.of(owner, method).isEmpty() && !keepsObject();
  }

  /** Whether its class gets a field, which only a delegate can ask. */
  private boolean keepsObject() {
    return through instanceof Through.Fresh fresh && fresh.kept();
  }

  /** Requires that the target can take the method, and that it is one object all the while. */
  void requireTarget(Moving moving) {
    Element type = target.element();
    if (through instanceof Through.Fresh fresh) {
      new FreshObject(target, owner, subject).require();
      if (fresh.kept()) {
        new NewField(owner, target, method).require(method, new Overruled(wishes.accepted()));
      }
    }
    boolean inner =
        target.element().getNestingKind() == NestingKind.MEMBER
            && type.getKind() == ElementKind.CLASS
            && !type.getModifiers().contains(Modifier.STATIC);
    if (moving.route().becomesStatic() && inner && target.trees().language() < 16) {
      throw elsewhere("an inner class has no static methods before Java 16");
    }
    if (moving.route().becomesStatic() || through instanceof Through.Fresh) {
      requireQuietStart();
    }
    requireOldStart();
    if (through.variable() != null) {
      if (!target.element().getTypeParameters().isEmpty()) {
        throw Refused.because(RefusalKind.TARGET_GENERIC, subject, place);
      }
      requireSteady(moving);
      requireNotNull(moving);
    }
  }

  /** A first static call starts its class, which could look at others that are not ready yet. */
  private void requireQuietStart() {
    requireQuiet(
        target, "would start the static parts of", ", which use other classes, at another time");
  }

  /** Callers that ask the target only do not start the old class any more. */
  private void requireOldStart() {
    if (method.is(Modifier.STATIC) && !keepsDelegate() && !wishes.fresh()) {
      requireQuiet(
          owner,
          "would not start the static parts of",
          ", which do something that shows, any more");
    }
  }

  private void requireQuiet(OwnerClass started, String does, String which) {
    if (wishes.accepted().contains(RefusalKind.STARTED_EARLIER)) {
      return;
    }
    StaticStart.Sound sound =
        new StaticStart(program)
            .of(started.element(), (started == owner ? target : owner).element());
    if (sound == StaticStart.Sound.LOUD) {
      throw Refused.advising(
          RefusalKind.STARTED_EARLIER,
          "%s %s %s%s.".formatted(subject, does, started.simpleName(), which),
          "If nobody can tell, say --accept started-earlier.",
          started.trees().place(started.tree()));
    }
    if (sound == StaticStart.Sound.ASSUMED) {
      StaticStart.assume(owner, started, started.trees().place(started.tree()));
    }
  }

  private Refused elsewhere(String why) {
    return Refused.of(
        RefusalKind.TARGET_ELSEWHERE, subject, why, target.trees().place(target.tree()));
  }

  /** Requires that nobody can tell that callers make objects of the target. */
  void requireMade() {
    new FreshObject(target, owner, subject).require();
    requireQuietStart();
  }

  private void requireSteady(Moving moving) {
    if (through instanceof Through.Parameter parameter) {
      if (Writes.in(owner.trees(), method.path()).contains(parameter.variable())) {
        throw Refused.because(RefusalKind.TARGET_CHANGES, subject, place);
      }
      return;
    }
    SteadyFields steady = new SteadyFields(owner, method, moving.calm());
    for (MovedCode.Targeted use : moving.route().code().targeted()) {
      if (!steady.is(through.variable(), use.path(), use.inner())) {
        throw Refused.because(
            RefusalKind.TARGET_CHANGES, subject, owner.trees().place(use.path().getLeaf()));
      }
    }
    owner.assumptions().addAll(steady.assumed());
  }

  /** Where its callers are all known, each is looked at for itself. */
  private void requireNotNull(Moving moving) {
    TargetThere there = moving.targetThere();
    if (!there.always() && !there.callersTell() && !there.isNeverLeftNull()) {
      throw Refused.advising(
          RefusalKind.MAYBE_NULL,
          "%s could be called where %s is null: it does not always ask it for something."
              .formatted(subject, through.word()),
          "If that never happens, say --accept maybe-null."
              + (through instanceof Through.Parameter && moving.delegate() && couldLeaveNone()
                  ? " With --delegate none each caller is looked at instead."
                  : ""),
          place);
    }
  }

  /** Whether the target has a method of a name already, inherited or its own. */
  boolean targetKnowsName(String name) {
    return methods(target.element()).stream()
        .anyMatch(each -> each.getSimpleName().contentEquals(name));
  }

  private List<ExecutableElement> methods(TypeElement type) {
    return ElementFilter.methodsIn(program.elements().getAllMembers(type));
  }

  /** Refuses where another method would be overridden, hidden or chosen instead. */
  void requireFreeName(Moving moving) {
    requireNoLinkByName(moving);
    for (ExecutableElement each : methods(target.element())) {
      requireOther(moving, each);
    }
    TypeElement object = program.elements().getTypeElement("java.lang.Object");
    methods(object).forEach(each -> requireOther(moving, each));
    for (Unit unit : program.units()) {
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitClass(ClassTree tree, Void unused) {
          Element type = program.trees().getElement(getCurrentPath());
          boolean below =
              type instanceof TypeElement element
                  && (element.equals(target.element())
                      || program.supertypes(element).contains(target.element()));
          if (below) {
            ElementFilter.methodsIn(type.getEnclosedElements())
                .forEach(each -> requireOther(moving, each));
            requireNotHiding(moving, unit, getCurrentPath());
          }
          return super.visitClass(tree, null);
        }
      }.scan(unit.tree(), null);
    }
  }

  private void requireOther(Moving moving, ExecutableElement other) {
    int count =
        moving.kept().size() + moving.given().values().size() + (moving.given().isOwner() ? 1 : 0);
    boolean alike =
        other.getSimpleName().contentEquals(moving.name())
            && !other.equals(method.element())
            && (other.getParameters().size() == count
                || other.isVarArgs()
                || method.element().isVarArgs());
    if (alike) {
      throw taken(moving, other.getEnclosingElement().getSimpleName() + " has one of that name");
    }
    boolean itself = other.equals(method.element());
    if (itself && count == method.element().getParameters().size()) {
      throw taken(moving, "it has the method by inheritance");
    }
  }

  /** The compiler looks around a nested type first for what its Javadoc comment links to. */
  private void requireNoLinkByName(Moving moving) {
    String text = target.source().text();
    String link = "#" + moving.name();
    program
        .uses()
        .in(target.trees().path())
        .filter(use -> use.isDoc() && !use.key().equals(method.key()))
        .filter(use -> text.startsWith(link, use.offset()))
        .filter(use -> isEnd(text, use.offset() + link.length()))
        .findFirst()
        .ifPresent(
            use -> {
              throw taken(moving, "a Javadoc link in its file names another member so");
            });
  }

  private static boolean isEnd(String text, int offset) {
    char next = text.charAt(offset);
    return next != '(' && !Character.isJavaIdentifierPart(next);
  }

  private Refused taken(Moving moving, String why) {
    return Refused.advising(
        RefusalKind.NAME_TAKEN,
        "%s cannot be named %s in %s: %s."
            .formatted(subject, moving.name(), target.simpleName(), why),
        "Choose another with --name.",
        target.trees().place(target.tree()));
  }

  /** Calls of a method around the target, or imported, would mean the new one. */
  private void requireNotHiding(Moving moving, Unit unit, TreePath type) {
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        if (tree.getMethodSelect() instanceof IdentifierTree name
            && name.getName().contentEquals(moving.name())) {
          Element called =
              program.trees().getElement(new TreePath(getCurrentPath(), tree.getMethodSelect()));
          boolean own =
              called == null
                  || called.equals(method.element()) && !moving.delegate()
                  || methods(target.element()).contains(called)
                  || isCarried(unit, getCurrentPath());
          if (!own && isOutside(called, type)) {
            throw taken(moving, "code in it calls another method by that name");
          }
        }
        return super.visitMethodInvocation(tree, null);
      }
    }.scan(type, null);
  }

  private boolean isOutside(Element called, TreePath type) {
    TypeElement below = (TypeElement) program.trees().getElement(type);
    return !methods(below).contains(called);
  }

  private boolean isCarried(Unit unit, TreePath call) {
    long start = program.trees().getSourcePositions().getStartPosition(unit.tree(), call.getLeaf());
    return unit.path().equals(owner.trees().path())
        && method.range().declaration() <= start
        && start < method.range().declarationEnd();
  }
}
