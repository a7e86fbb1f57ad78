package paredown.measure;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.jgrapht.Graph;
import org.jgrapht.graph.SimpleGraph;
import org.junit.jupiter.api.Test;

class CommunitiesTest {
  private final AtomicInteger last = new AtomicInteger();
  private final Graph<String, Tie> graph = new SimpleGraph<>(Tie.class);

  private void tie(String one, String... others) {
    graph.addVertex(one);
    for (String other : others) {
      graph.addVertex(other);
      graph.addEdge(one, other, new Tie(last.incrementAndGet()));
    }
  }

  @Test
  void cutsWhatEveryWayLeadsOver() {
    tie("depth", "dredge", "sound");
    tie("dredge", "sound");
    tie("fare", "charge", "refund");
    tie("charge", "refund");
    tie("sound", "charge");
    Set<String> water = Set.of("depth", "dredge", "sound");
    assertEquals(List.of(List.of(water, Set.of("fare", "charge", "refund"))), of(2));
  }

  @Test
  void goesOnFromTheLastDivision() {
    tie("depth", "sound");
    tie("sound", "fare");
    tie("fare", "charge");
    assertEquals(
        List.of(
            List.of(Set.of("depth", "sound"), Set.of("fare", "charge")),
            List.of(Set.of("depth"), Set.of("sound"), Set.of("fare", "charge"))),
        of(3));
  }

  /** In a ring, as many ways lead over each tie. */
  @Test
  void cutsTheFirstOfTiesThatAreAlike() {
    tie("north", "east");
    tie("east", "south");
    tie("south", "west");
    tie("west", "north");
    for (int i = 0; i < 50; i++) {
      assertEquals(List.of(List.of(Set.of("north", "west"), Set.of("east", "south"))), of(2));
    }
  }

  @Test
  void leavesWhatNothingTies() {
    tie("depth");
    assertEquals(List.of(), of(4));
  }

  private List<List<Set<String>>> of(int most) {
    return Communities.of(graph, most, graph.edgeSet().size()).stream().map(List::copyOf).toList();
  }
}
