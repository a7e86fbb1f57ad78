package paredown.smell.detector.lazy;

import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.smell.Detector;
import paredown.smell.Finding;
import paredown.smell.Grounds;

/**
 * A lazy class does too little to justify itself: it only passes calls on, adds nothing to the
 * class above it, wraps one value with nothing about it, holds one small method for a single
 * client, or is used by nobody any more.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3 ("Lazy class", "Middle man"). Never lazy are
 * exceptions, annotated and abstract classes, markers, holders of constants, entry points, and, for
 * use by nobody or one small method, what is public: others could use it.
 */
public final class LazyClass implements Detector {

  @Override
  public Stream<Finding> find(Grounds grounds) {
    return grounds
        .judged()
        .filter(LazyClass::mayBeLazy)
        .flatMap(type -> judge(type, grounds).stream());
  }

  private static boolean isMain(MethodFact method) {
    return method.name().equals("main") && method.isStatic();
  }

  private static boolean mayBeLazy(TypeFact type) {
    boolean framed =
        type.head().isFramed()
            || type.methods().stream().anyMatch(method -> method.head().isFramed())
            || type.fields().stream().anyMatch(field -> field.head().isFramed());
    return type.isClass()
        && !type.isException()
        && !type.isAbstract()
        && !framed
        && type.methods().stream().noneMatch(LazyClass::isMain);
  }

  private static Optional<Finding> judge(TypeFact type, Grounds grounds) {
    boolean open = type.isPublic() || type.head().is(Modifier.PROTECTED);
    Set<String> clients = grounds.clients().of(type);
    Optional<Finding> found =
        PassesOn.find(type, grounds)
            .or(() -> AddsNothing.find(type, grounds))
            .or(() -> HelpsSeveral.find(type, grounds))
            .or(() -> clients.isEmpty() ? Optional.empty() : WrapsOne.find(type, grounds));
    if (found.isPresent() || !type.outer().isEmpty()) {
      return found;
    }
    boolean asked = isUsedInItsFile(type, grounds);
    if (open) {
      return grounds.packages().areTogether(type.name(), clients)
          ? (asked ? Optional.<Finding>empty() : ServesOne.openly(type, clients, grounds))
              .or(() -> PassedThrough.find(type, clients, grounds))
          : Optional.empty();
    }
    if (clients.isEmpty() && !asked) {
      return Optional.of(Unused.find(type, grounds));
    }
    return (asked ? Optional.<Finding>empty() : ServesOne.find(type, clients, grounds))
        .or(() -> PassedThrough.find(type, clients, grounds));
  }

  private static boolean isUsedInItsFile(TypeFact type, Grounds grounds) {
    return grounds.facts().types().stream()
        .filter(other -> other != type && other.sharesFileWith(type))
        .anyMatch(
            other -> other.mentions().contains(type.name()) && !other.outer().equals(type.name()));
  }
}
