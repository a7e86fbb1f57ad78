package paredown.history;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.eclipse.jgit.diff.DiffEntry;
import org.eclipse.jgit.diff.DiffFormatter;
import org.eclipse.jgit.diff.Edit;
import org.eclipse.jgit.diff.RawTextComparator;
import org.eclipse.jgit.errors.MissingObjectException;
import org.eclipse.jgit.errors.RevisionSyntaxException;
import org.eclipse.jgit.lib.ObjectId;
import org.eclipse.jgit.lib.Repository;
import org.eclipse.jgit.lib.RepositoryBuilder;
import org.eclipse.jgit.revwalk.RevCommit;
import org.eclipse.jgit.revwalk.RevWalk;
import org.eclipse.jgit.treewalk.CanonicalTreeParser;
import org.eclipse.jgit.treewalk.FileTreeIterator;
import org.eclipse.jgit.treewalk.filter.PathFilter;
import org.eclipse.jgit.util.io.DisabledOutputStream;

/**
 * A Git history reads what the latest commits of a repository changed. Merges are passed over, for
 * what they bring stands in other commits; so are commits of very many files, which format, rename
 * or move everything, the first commit among them. Changes of white space and line ends alone do
 * not count.
 */
public final class GitHistory implements AutoCloseable {
  /** A commit of more files than this changes everything, and so tells nothing. */
  static final int MASS = 50;

  private final Repository repository;
  private final String prefix;

  private GitHistory(Repository repository, String prefix) {
    this.repository = repository;
    this.prefix = prefix;
  }

  /** The repository that holds a folder; empty where none does, or it has no commit. */
  public static Optional<GitHistory> at(Path folder) {
    RepositoryBuilder builder = new RepositoryBuilder();
    if (builder.findGitDir(folder.toFile()).getGitDir() == null) {
      return Optional.empty();
    }
    try {
      Repository repository = builder.build();
      if (repository.isBare() || repository.resolve("HEAD") == null) {
        repository.close();
        return Optional.empty();
      }
      File tree = repository.getWorkTree().getCanonicalFile();
      String prefix = tree.toPath().relativize(folder.toRealPath()).toString().replace('\\', '/');
      return Optional.of(new GitHistory(repository, prefix));
    } catch (IOException | IllegalArgumentException unreadable) {
      return Optional.empty();
    }
  }

  /** The name of the latest commit. */
  public String head() {
    try {
      return repository.resolve("HEAD").name();
    } catch (IOException e) {
      return "";
    }
  }

  /** Whether version control tracks something in a folder, as it is about to be committed. */
  public boolean tracks(String folder) {
    try {
      String within = (prefix.isEmpty() ? "" : prefix + "/") + folder;
      return repository.readDirCache().getEntriesWithin(within).length > 0;
    } catch (IOException e) {
      return false;
    }
  }

  /** A file as a commit changed it. */
  private record Change(String file, ObjectId before, ObjectId after, List<Edit> edits) {}

  /**
   * The last so many commits; empty where the repository cannot be read.
   *
   * @param read counts those that were read
   */
  public History read(int most, AtomicInteger read) {
    Map<RevCommit, List<Change>> changes = new LinkedHashMap<>();
    boolean cut = false;
    try (RevWalk walk = new RevWalk(repository);
        DiffFormatter formatter = new DiffFormatter(DisabledOutputStream.INSTANCE)) {
      formatter.setRepository(repository);
      formatter.setDiffComparator(RawTextComparator.WS_IGNORE_ALL);
      formatter.setDetectRenames(true);
      if (!prefix.isEmpty()) {
        formatter.setPathFilter(PathFilter.create(prefix));
      }
      cut = !repository.getObjectDatabase().getShallowCommits().isEmpty();
      walk.markStart(walk.parseCommit(repository.resolve("HEAD")));
      Map<String, String> today = new HashMap<>();
      for (RevCommit commit : walk) {
        if (read.getAndIncrement() >= most) {
          break;
        }
        if (commit.getParentCount() == 1) {
          changes.put(commit, changes(formatter, commit, today));
        }
      }
      return new History(commits(changes), cut);
    } catch (MissingObjectException shallow) {
      return new History(commits(changes), true);
    } catch (IOException unreadable) {
      return new History(commits(changes), cut);
    }
  }

  private List<Change> changes(DiffFormatter formatter, RevCommit commit, Map<String, String> today)
      throws IOException {
    List<DiffEntry> entries = formatter.scan(commit.getParent(0), commit);
    List<Change> changes = new ArrayList<>();
    for (DiffEntry entry : entries) {
      boolean gone = entry.getChangeType() == DiffEntry.ChangeType.DELETE;
      String path = relative(gone ? entry.getOldPath() : entry.getNewPath());
      String file = today.getOrDefault(path, path);
      if (entry.getChangeType() == DiffEntry.ChangeType.RENAME) {
        today.put(relative(entry.getOldPath()), file);
      }
      if (entries.size() <= MASS && !gone && entry.getChangeType() != DiffEntry.ChangeType.ADD) {
        List<Edit> edits =
            file.endsWith(".java") ? formatter.toFileHeader(entry).toEditList() : List.of();
        if (!edits.isEmpty() || !file.endsWith(".java")) {
          changes.add(
              new Change(
                  file, entry.getOldId().toObjectId(), entry.getNewId().toObjectId(), edits));
        }
      }
    }
    return changes;
  }

  private String relative(String path) {
    return prefix.isEmpty() ? path : path.substring(Math.min(path.length(), prefix.length() + 1));
  }

  private List<Commit> commits(Map<RevCommit, List<Change>> changes) {
    Set<ObjectId> wanted = new LinkedHashSet<>();
    changes
        .values()
        .forEach(
            list ->
                list.stream()
                    .filter(change -> !change.edits().isEmpty())
                    .forEach(
                        change -> {
                          wanted.add(change.before());
                          wanted.add(change.after());
                        }));
    Map<ObjectId, MemberLines> lines = MemberLines.of(wanted, this::text);
    List<Commit> commits = new ArrayList<>();
    changes.forEach(
        (commit, list) -> {
          List<Commit.Touched> touched = new ArrayList<>();
          list.forEach(change -> touched.add(touched(change, lines)));
          if (!touched.isEmpty()) {
            commits.add(new Commit(commit.abbreviate(7).name(), commit.getShortMessage(), touched));
          }
        });
    return commits;
  }

  private static Commit.Touched touched(Change change, Map<ObjectId, MemberLines> lines) {
    Set<String> members = new LinkedHashSet<>();
    MemberLines before = lines.getOrDefault(change.before(), MemberLines.NONE);
    MemberLines after = lines.getOrDefault(change.after(), MemberLines.NONE);
    for (Edit edit : change.edits()) {
      members.addAll(before.within(edit.getBeginA() + 1, edit.getEndA()));
      members.addAll(after.within(edit.getBeginB() + 1, edit.getEndB()));
    }
    return new Commit.Touched(change.file(), List.copyOf(members));
  }

  private String text(ObjectId blob) {
    try {
      return new String(repository.open(blob).getBytes(), StandardCharsets.UTF_8);
    } catch (IOException missing) {
      return "";
    }
  }

  /** The files that differ between a revision and the disk; empty where there is no revision. */
  public Optional<Set<String>> changedSince(String revision) {
    try (RevWalk walk = new RevWalk(repository);
        DiffFormatter formatter = new DiffFormatter(DisabledOutputStream.INSTANCE)) {
      ObjectId id = repository.resolve(revision + "^{commit}");
      if (id == null) {
        return Optional.empty();
      }
      formatter.setRepository(repository);
      CanonicalTreeParser before =
          new CanonicalTreeParser(
              null, repository.newObjectReader(), walk.parseCommit(id).getTree());
      FileTreeIterator disk = new FileTreeIterator(repository);
      Set<String> changed = new LinkedHashSet<>();
      for (DiffEntry entry : formatter.scan(before, disk)) {
        if (entry.getChangeType() != DiffEntry.ChangeType.DELETE
            && (prefix.isEmpty() || entry.getNewPath().startsWith(prefix + "/"))) {
          changed.add(relative(entry.getNewPath()));
        }
      }
      return Optional.of(changed);
    } catch (IOException | RevisionSyntaxException unreadable) {
      return Optional.empty();
    }
  }

  @Override
  public void close() {
    repository.close();
  }
}
