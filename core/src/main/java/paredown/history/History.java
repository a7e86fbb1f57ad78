package paredown.history;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A history is what the latest commits of a project changed, newest first.
 *
 * @param isCut whether older commits are missing, since the repository is a shallow clone
 */
public record History(List<Commit> commits, boolean isCut) {
  /** The history where there is no repository. */
  public static final History NONE = new History(List.of(), false);

  public History {
    commits = List.copyOf(commits);
  }

  /** The history as text, to be kept; a line each for commits, files and members. */
  public String written() {
    StringBuilder text = new StringBuilder(isCut ? "cut\n" : "whole\n");
    for (Commit commit : commits) {
      text.append("c ").append(commit.id()).append(' ').append(commit.subject()).append('\n');
      for (Commit.Touched touched : commit.touched()) {
        text.append("f ").append(touched.file()).append('\n');
        touched.members().forEach(member -> text.append("m ").append(member).append('\n'));
      }
    }
    return text.append("end\n").toString();
  }

  /** Reads what was kept; empty where it is not whole. */
  public static Optional<History> read(String written) {
    if (!written.endsWith("end\n")) {
      return Optional.empty();
    }
    List<Commit> commits = new ArrayList<>();
    String id = "";
    String subject = "";
    List<Commit.Touched> touched = new ArrayList<>();
    String file = "";
    List<String> members = new ArrayList<>();
    for (String line : written.lines().skip(1).toList()) {
      char kind = line.charAt(0);
      if (kind != 'm' && !file.isEmpty()) {
        touched.add(new Commit.Touched(file, members));
        members = new ArrayList<>();
        file = "";
      }
      switch (kind) {
        case 'm' -> members.add(line.substring(2));
        case 'f' -> file = line.substring(2);
        default -> {
          if (!id.isEmpty()) {
            commits.add(new Commit(id, subject, touched));
            touched = new ArrayList<>();
          }
          String[] words = line.split(" ", 3);
          id = words.length > 1 ? words[1] : "";
          subject = words.length > 2 ? words[2] : "";
        }
      }
    }
    return Optional.of(new History(commits, written.startsWith("cut")));
  }
}
