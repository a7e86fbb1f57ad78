package paredown.refactor.plan;

import com.sun.source.tree.Tree;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import paredown.refactor.code.UnitTrees;

/** Edits that are made from the inside out, so that outer ones carry along what inner ones did. */
public final class InnerFirst {
  private final List<Made> all = new ArrayList<>();

  /** An edit, and how long the code is that it changes. */
  private record Made(int length, Runnable edit) {}

  /** Notes an edit of a tree; of two of one tree the first comes first. */
  public void add(UnitTrees trees, Tree tree, Runnable edit) {
    all.add(new Made(trees.end(tree) - trees.start(tree), edit));
  }

  /** Makes them. */
  public void run() {
    all.sort(Comparator.comparingInt(Made::length));
    all.forEach(each -> each.edit().run());
  }
}
