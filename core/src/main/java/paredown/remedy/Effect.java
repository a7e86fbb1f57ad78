package paredown.remedy;

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

  /** Whether a figure gets smaller. */
  public boolean lightens() {
    return figures.stream().anyMatch(figure -> figure.after() < figure.before());
  }

  /** One figure before and after. */
  public record Figure(String words, int before, int after) {}
}
