package paredown.remedy;

import java.util.ArrayList;
import java.util.List;

/**
 * An effect is before → after of a few plain figures, and the price.
 *
 * @param figures of the class that is pared down
 * @param price what is worse or more than before, in plain words; empty where nothing is
 */
public record Effect(List<Figure> figures, List<String> price) {

  public Effect {
    figures = List.copyOf(figures);
    price = List.copyOf(price);
  }

  /** The words of the figure that is the finding's own weight. */
  public static final String WEIGHT = "weight";

  /** The same behind the weight of the finding itself, which is 0 where it is gone. */
  Effect weighing(int before, int after) {
    List<Figure> all = new ArrayList<>(List.of(new Figure(WEIGHT, before, after)));
    all.addAll(figures);
    return new Effect(all, price);
  }

  /** One figure before and after. */
  public record Figure(String words, int before, int after) {}
}
