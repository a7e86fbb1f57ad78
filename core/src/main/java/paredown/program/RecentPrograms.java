package paredown.program;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Set;
import java.util.TreeSet;

/**
 * The programs that a thread has read last, until others take their place, so that what is planned
 * again on the same files is not attributed again. The compiler serves one thread at a time, and so
 * does a program.
 */
public final class RecentPrograms {
  private static final int PROGRAMS = 3;
  private static final int FILES = 300;
  private static final ThreadLocal<RecentPrograms> OF_THREAD =
      ThreadLocal.withInitial(RecentPrograms::new);

  private record Read(Sources sources, Set<String> paths, Program program) {}

  private final Deque<Read> recent = new ArrayDeque<>();

  private RecentPrograms() {}

  /** The program of some files as they stood when the sources were first asked for them. */
  public static Program of(Sources sources, Set<String> paths) {
    return OF_THREAD.get().read(sources, new TreeSet<>(paths));
  }

  private Program read(Sources sources, Set<String> paths) {
    Read found =
        recent.stream()
            .filter(each -> each.sources() == sources && each.paths().equals(paths))
            .findFirst()
            .orElse(null);
    if (found == null) {
      makeRoom(paths.size());
      found = new Read(sources, paths, Program.of(sources, paths));
    } else {
      recent.remove(found);
    }
    recent.addFirst(found);
    return found.program();
  }

  private void makeRoom(int coming) {
    int files = coming + recent.stream().mapToInt(each -> each.paths().size()).sum();
    while (!recent.isEmpty() && (recent.size() >= PROGRAMS || files > FILES)) {
      files -= recent.removeLast().paths().size();
    }
  }
}
