package paredown.refactor.operation.superclass;

import com.sun.source.tree.AnnotationTree;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Below;
import paredown.program.Program;
import paredown.project.SourceFile;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.startup.EarlyUses;
import paredown.refactor.startup.StaticStart;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.FieldOnlookers;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OutsideNames;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.ReflectionCheck;
import paredown.refactor.use.Remarks;
import paredown.refactor.use.Ties;

/** What must hold before members of classes can stand in the one that they extend. */
final class MoveUpChecks {
  private final CommonMembers common;
  private final List<MemberUses.MemberUse> uses;
  private final Overruled overruled;
  private final OwnerClass parent;
  private final Program program;
  private final FreeAbove free;
  private final ValuesAbove values;

  MoveUpChecks(CommonMembers common, List<MemberUses.MemberUse> uses, Overruled overruled) {
    this.common = common;
    this.uses = uses;
    this.overruled = overruled;
    this.parent = common.parent();
    this.program = parent.program();
    this.free = new FreeAbove(common);
    this.values = new ValuesAbove(common, free);
  }

  /** The method of the class above that only announces one that goes up. */
  static Optional<OwnerClass.Method> announced(CommonMembers common, OwnerClass.Method method) {
    return common.parent().methods().stream()
        .filter(each -> each.is(Modifier.ABSTRACT))
        .filter(
            each ->
                common
                    .parent()
                    .program()
                    .elements()
                    .overrides(method.element(), each.element(), common.first().element()))
        .findFirst();
  }

  /** The methods of classes beside that override now what goes up. */
  List<FreeAbove.Beside> overriding() {
    return free.overriding();
  }

  void require() {
    common.owners().forEach(this::requirePlain);
    requireSameModule();
    for (OwnerClass owner : common.owners()) {
      Map<Element, String> gone = new LinkedHashMap<>();
      for (OwnerClass.Field each : common.fields()) {
        OwnerClass.Field own = common.of(owner, each);
        FieldDeclaration.requireAlone(owner, own, "moved");
        FieldOnlookers.requireNone(owner, own, overruled, "moved");
        values.require(owner, own);
        gone.put(own.element(), own.key());
      }
      for (OwnerClass.Method each : common.methods()) {
        OwnerClass.Method own = common.of(owner, each);
        requireBody(owner, own);
        requireUnremarked(owner, own);
        gone.put(own.element(), own.key());
      }
      requireQuietStart(owner);
      new ReflectionCheck(owner, gone).requireUnless(overruled);
      OutsideNames.requireNone(
          owner,
          gone.keySet().stream().map(each -> each.getSimpleName().toString()).distinct().toList(),
          overruled);
      requireQuietAbove(owner);
    }
    free.require();
    requireAbstractable();
  }

  private static Cannot cannot(String member) {
    return new Cannot("%s cannot go up".formatted(member));
  }

  private void requirePlain(OwnerClass owner) {
    TypeElement type = owner.element();
    boolean inner =
        type.getNestingKind() != NestingKind.TOP_LEVEL
            && !type.getModifiers().contains(Modifier.STATIC);
    if (type.getKind() != ElementKind.CLASS || inner) {
      throw cannot("What " + owner.writtenName() + " has")
          .because(
              inner ? RefusalKind.INNER_OBJECT : RefusalKind.NOT_A_CLASS,
              inner ? "its objects belong to one of the class around it" : "it is no plain class",
              "",
              owner.trees().place(owner.tree()));
    }
  }

  private void requireSameModule() {
    SourceFile home = file(parent);
    for (OwnerClass owner : common.owners()) {
      if (!file(owner).module().equals(home.module()) || file(owner).kind() != home.kind()) {
        throw cannot("What " + owner.writtenName() + " has")
            .because(
                RefusalKind.SEVERAL_MODULES,
                parent.writtenName() + " is in another module of the build, or not beside it",
                "Put a new class above them: --name NAME.",
                owner.trees().place(owner.tree()));
      }
    }
  }

  private SourceFile file(OwnerClass owner) {
    return program.sources().file(owner.trees().path()).orElseThrow();
  }

  private void requireBody(OwnerClass owner, OwnerClass.Method method) {
    String place = owner.source().place(method.range().declaration());
    boolean announced = method.is(Modifier.ABSTRACT) && free.isForTheseOnly();
    if (method.tree().getBody() == null && !announced) {
      throw cannot(method.name())
          .because(RefusalKind.NO_BODY, "it has no body of its own", "", place);
    }
    if (Ties.isCalledByName(method.name())) {
      throw cannot(method.name())
          .because(RefusalKind.FIXED_NAME, "the platform looks for it there", "", place);
    }
    if (method.is(Modifier.STATIC) && method.is(Modifier.SYNCHRONIZED)) {
      throw cannot(method.name()).because(RefusalKind.LOCKED, "it locks its class", "", place);
    }
  }

  /** Annotations go up, too; what looks for them must find them with what a class inherits. */
  private void requireUnremarked(OwnerClass owner, OwnerClass.Method method) {
    Optional<AnnotationTree> telling =
        Remarks.telling(
                owner,
                method.path(),
                method.tree().getModifiers(),
                type -> type.startsWith("org.junit.") || type.equals("java.lang.Override"))
            .filter(each -> !overruled.overrules(RefusalKind.MAPPED_FIELD))
            .findFirst();
    if (telling.isPresent()) {
      throw cannot(method.name())
          .because(
              RefusalKind.MAPPED_FIELD,
              RefusalKind.MAPPED_FIELD.why(),
              "If that does not matter here, say --accept mapped-field.",
              owner.trees().place(telling.get()));
    }
  }

  /** A static member that others ask for would start another class than now. */
  private void requireQuietStart(OwnerClass owner) {
    for (MemberUses.MemberUse use : uses) {
      boolean outside =
          !CodeElsewhere.isWithin(use.trees(), use.path(), owner.element())
              && use.trees().element(use.path()).getModifiers().contains(Modifier.STATIC)
              && owner.element().equals(use.trees().element(use.path()).getEnclosingElement());
      if (outside) {
        StaticStart.require(
            parent,
            owner,
            "%s cannot go up".formatted(use.trees().element(use.path()).getSimpleName()),
            overruled.overrules(RefusalKind.STARTED_EARLIER));
      }
    }
  }

  /** What runs above before the object is ready must not come to what goes up. */
  private void requireQuietAbove(OwnerClass owner) {
    List<String> given =
        common.fields().stream()
            .filter(each -> !each.is(Modifier.STATIC))
            .filter(each -> each.is(Modifier.FINAL) || each.tree().getInitializer() != null)
            .map(each -> common.of(owner, each).name())
            .toList();
    if (!given.isEmpty()) {
      try {
        new EarlyUses(Leaving.of(owner, given, List.of()), null).requireQuietSuperclass();
      } catch (Refused early) {
        throw cannot(given.get(0))
            .because(
                early.kind(),
                "a constructor above comes to it, and would find its value there already",
                "Take what is called out of that constructor first.",
                "")
            .at(early.places());
      }
    }
  }

  /** What becomes abstract above must be in every class below. */
  private void requireAbstractable() {
    if (common.abstracted().isEmpty()) {
      return;
    }
    OwnerClass.Method needed = common.abstracted().get(0);
    Optional<TypeElement> lacking =
        free.beside().stream()
            .filter(each -> !each.getModifiers().contains(Modifier.ABSTRACT))
            .findFirst();
    boolean isAbstract = parent.element().getModifiers().contains(Modifier.ABSTRACT);
    if (!isAbstract || lacking.isPresent()) {
      throw Refused.advising(
          RefusalKind.DIFFERS,
          "%s, which they need, cannot be abstract in %s: %s."
              .formatted(
                  needed.name(),
                  parent.writtenName(),
                  lacking
                      .map(each -> each.getSimpleName() + " has none")
                      .orElse("it has objects of its own")),
          "Put a new class between: --name NAME.",
          common.first().source().place(needed.range().declaration()));
    }
    boolean hidden =
        common.owners().stream()
            .anyMatch(
                owner ->
                    common.abstracted().stream().anyMatch(each -> isPrivateAbove(owner, each)));
    if (hidden) {
      throw Refused.advising(
          RefusalKind.DISPATCH,
          "%s, which they need, is private, and a class below has one of that name."
              .formatted(needed.name()),
          "Rename one of them first: pare rename --help.",
          common.first().source().place(needed.range().declaration()));
    }
  }

  /** Whether a class has a method privately, and one below it has one of that name. */
  private boolean isPrivateAbove(OwnerClass owner, OwnerClass.Method needed) {
    OwnerClass.Method own = common.of(owner, needed);
    return own.is(Modifier.PRIVATE)
        && Below.of(program, List.of(owner.element())).stream()
            .flatMap(type -> ElementFilter.methodsIn(type.getEnclosedElements()).stream())
            .anyMatch(other -> free.isAlike(other, own.element()));
  }
}
