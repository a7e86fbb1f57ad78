package paredown.gate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Intervals are stretches of one text that are found by where they stand, nested ones as well.
 *
 * <p>They stand in an array by their beginnings, which is read as a balanced tree: the middle of
 * each part is its root, and knows the furthest end within the part (the augmented tree of Cormen,
 * Leiserson, Rivest and Stein, <em>Introduction to Algorithms</em>, section 14.3).
 *
 * @param <T> what takes up a stretch
 */
final class Intervals<T> {
  private final List<T> items;

  /** The numbers of the items, by where these begin. */
  private final int[] order;

  private final int[] starts;
  private final int[] ends;

  /** The furthest end in the part of which each place is the middle. */
  private final int[] reach;

  /**
   * The stretches of some items.
   *
   * @param start where one begins
   * @param end behind its last character
   */
  Intervals(List<T> items, ToIntFunction<T> start, ToIntFunction<T> end) {
    this.items = List.copyOf(items);
    this.starts = items.stream().mapToInt(start).toArray();
    this.ends = items.stream().mapToInt(end).toArray();
    this.order =
        IntStream.range(0, items.size())
            .boxed()
            .sorted(Comparator.comparingInt(i -> starts[i]))
            .mapToInt(Integer::intValue)
            .toArray();
    this.reach = new int[items.size()];
    reach(0, items.size());
  }

  /** The stretches of each of several texts; a text that has none has none to be found. */
  static <T> Function<String, Intervals<T>> byText(
      Stream<T> items, Function<T, String> text, ToIntFunction<T> start, ToIntFunction<T> end) {
    Map<String, Intervals<T>> byText = new HashMap<>();
    items
        .collect(Collectors.groupingBy(text))
        .forEach((name, all) -> byText.put(name, new Intervals<>(all, start, end)));
    Intervals<T> none = new Intervals<>(List.of(), start, end);
    return name -> byText.getOrDefault(name, none);
  }

  private int reach(int low, int high) {
    if (low >= high) {
      return Integer.MIN_VALUE;
    }
    int middle = (low + high) >>> 1;
    int within = Math.max(reach(low, middle), reach(middle + 1, high));
    reach[middle] = Math.max(within, ends[order[middle]]);
    return reach[middle];
  }

  /** What holds the character at an offset, in the order given. */
  List<T> at(int offset) {
    return found(offset, offset + 1);
  }

  /** What has a part or an edge in common with a stretch, in the order given. */
  List<T> touching(int first, int last) {
    return found(last, first);
  }

  /** What begins at the latest at one offset, and ends at the earliest at another. */
  private List<T> found(int last, int leastEnd) {
    List<Integer> found = new ArrayList<>();
    collect(0, order.length, last, leastEnd, found);
    return found.stream().sorted().map(items::get).toList();
  }

  private void collect(int low, int high, int last, int leastEnd, List<Integer> found) {
    if (low >= high) {
      return;
    }
    int middle = (low + high) >>> 1;
    if (reach[middle] < leastEnd) {
      return;
    }
    collect(low, middle, last, leastEnd, found);
    if (starts[order[middle]] <= last) {
      if (ends[order[middle]] >= leastEnd) {
        found.add(order[middle]);
      }
      collect(middle + 1, high, last, leastEnd, found);
    }
  }
}
