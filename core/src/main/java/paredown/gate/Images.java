package paredown.gate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import paredown.edit.Run;

/**
 * The images of an old text: where its stretches stand now. A stretch that is repeated has several.
 */
final class Images {
  private final List<Image> images = new ArrayList<>();

  /**
   * Behind what no image that begins at or before one of these reaches; filled when it is asked.
   */
  private int[] reach = {};

  /**
   * A run together with the file it is in now.
   *
   * @param number counted in the order of the change
   */
  record Image(int number, String file, Run run) {}

  void add(String file, Run run) {
    images.add(new Image(images.size(), file, run));
  }

  /** The images of the character at an old offset, in the order of the change. */
  List<Image> at(int offset) {
    if (reach.length != images.size()) {
      sort();
    }
    List<Image> found = new ArrayList<>();
    for (int i = last(offset); i >= 0 && reach[i] > offset; i--) {
      if (images.get(i).run().originEnd() > offset) {
        found.add(images.get(i));
      }
    }
    found.sort(Comparator.comparingInt(Image::number));
    return found;
  }

  private void sort() {
    images.sort(Comparator.comparingInt(image -> image.run().originStart()));
    reach = new int[images.size()];
    int furthest = 0;
    for (int i = 0; i < reach.length; i++) {
      furthest = Math.max(furthest, images.get(i).run().originEnd());
      reach[i] = furthest;
    }
  }

  /** The last that begins at or before an offset; -1 where none does. */
  private int last(int offset) {
    int low = 0;
    int high = images.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (images.get(middle).run().originStart() <= offset) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low - 1;
  }
}
