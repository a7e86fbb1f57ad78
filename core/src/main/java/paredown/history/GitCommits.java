package paredown.history;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.eclipse.jgit.api.AddCommand;
import org.eclipse.jgit.api.Git;
import org.eclipse.jgit.api.RmCommand;
import org.eclipse.jgit.api.Status;
import org.eclipse.jgit.api.errors.GitAPIException;
import org.eclipse.jgit.lib.Repository;
import org.eclipse.jgit.lib.RepositoryBuilder;
import org.eclipse.jgit.lib.StoredConfig;
import org.eclipse.jgit.revwalk.RevCommit;
import paredown.MachineProblem;
import paredown.UnusableRequest;

/** The commits that are made of what was changed, in the repository that holds a folder. */
public final class GitCommits {
  private final Path folder;

  public GitCommits(Path folder) {
    this.folder = folder;
  }

  /**
   * Makes a repository of a folder that is none, and commits all that it holds.
   *
   * @param left patterns of what it never holds, such as {@code target/}
   * @param author who commits there, and an address
   */
  public void begin(String message, Collection<String> left, String author, String address) {
    try (Git git = Git.init().setDirectory(folder.toFile()).call()) {
      Repository repository = git.getRepository();
      Path info = repository.getDirectory().toPath().resolve("info");
      Files.createDirectories(info);
      Files.write(info.resolve("exclude"), left);
      StoredConfig config = repository.getConfig();
      config.setString("user", null, "name", author);
      config.setString("user", null, "email", address);
      // Whatever line ends somebody likes elsewhere, the bytes here come back as they are.
      config.setString("core", null, "autocrlf", "false");
      config.save();
      git.add().addFilepattern(".").call();
      git.commit().setMessage(message).setSign(false).setNoVerify(true).call();
    } catch (IOException | GitAPIException e) {
      throw failed(e);
    }
  }

  /**
   * Goes to a branch, which is made where there is none; the work tree is as its last commit.
   *
   * @return the branch that was left
   */
  public String goTo(String branch) {
    try (Repository repository = open();
        Git git = new Git(repository)) {
      String left = repository.getBranch();
      boolean known = repository.findRef("refs/heads/" + branch) != null;
      git.checkout().setName(branch).setCreateBranch(!known).call();
      return left;
    } catch (IOException | GitAPIException e) {
      throw failed(e);
    }
  }

  private Repository open() throws IOException {
    RepositoryBuilder builder = new RepositoryBuilder();
    if (builder.findGitDir(folder.toFile()).getGitDir() == null) {
      throw new UnusableRequest(
          "This project is in no Git repository, so that there is nothing to commit to.",
          "Leave --commit out.");
    }
    return builder.build();
  }

  /**
   * Requires that a commit would hold nothing but what is changed from here on.
   *
   * @throws UnusableRequest where files that the repository knows are edited already, or where
   *     nobody has told Git who commits
   */
  public void requireReady() {
    try (Repository repository = open();
        Git git = new Git(repository)) {
      Status status = git.status().call();
      Set<String> edited = new TreeSet<>(status.getUncommittedChanges());
      edited.addAll(status.getConflicting());
      if (!edited.isEmpty()) {
        throw new UnusableRequest(
            "The work tree is not clean: %s is edited.".formatted(edited.iterator().next()),
            "Commit that first, or put it aside with git stash; or leave --commit out.");
      }
      StoredConfig config = repository.getConfig();
      if (config.getString("user", null, "name") == null
          || config.getString("user", null, "email") == null) {
        throw new UnusableRequest(
            "Git does not know who commits here.",
            "Say git config user.name NAME and git config user.email ADDRESS.");
      }
    } catch (IOException | GitAPIException e) {
      throw failed(e);
    }
  }

  /**
   * Commits some files as they are now.
   *
   * @param files their paths, relative to the folder; those that are gone among them
   * @param hooks whether the repository's hooks are run
   * @return the first digits of the commit's name; empty where nothing differs from the last one
   */
  public Optional<String> commit(String message, Collection<String> files, boolean hooks) {
    try (Repository repository = open();
        Git git = new Git(repository)) {
      Path tree = repository.getWorkTree().toPath().toRealPath();
      AddCommand add = git.add();
      RmCommand remove = git.rm().setCached(true);
      boolean adds = false;
      boolean removes = false;
      for (String file : files) {
        Path path = folder.toRealPath().resolve(file);
        String pattern = tree.relativize(path).toString().replace('\\', '/');
        boolean there = Files.exists(path);
        adds |= there;
        removes |= !there;
        if (there) {
          add.addFilepattern(pattern);
        } else {
          remove.addFilepattern(pattern);
        }
      }
      if (adds) {
        add.call();
      }
      if (removes) {
        remove.call();
      }
      if (git.status().call().getUncommittedChanges().isEmpty()) {
        return Optional.empty();
      }
      RevCommit made = git.commit().setMessage(message).setNoVerify(!hooks).call();
      return Optional.of(made.abbreviate(7).name());
    } catch (IOException | GitAPIException e) {
      throw failed(e);
    }
  }

  private static MachineProblem failed(Exception e) {
    return new MachineProblem(
        "Git could not commit: " + e.getMessage() + ".",
        "What was changed is kept; commit it by hand.",
        e);
  }
}
