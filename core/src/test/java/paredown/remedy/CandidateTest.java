package paredown.remedy;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import paredown.refactor.operation.extractmethod.ExtractMethod;

class CandidateTest {
  private static Candidate candidate(int number) {
    return new Candidate(
        "dup-0a1b2c",
        new Cure.Part(
            new ExtractMethod("Sailing:" + number, "part"),
            new Effect(List.of(), List.of()),
            Optional.empty()));
  }

  @Test
  void candidatesOfOneFindingHaveIdsOfTheirOwn() {
    List<Candidate> many = IntStream.range(0, 40).mapToObj(CandidateTest::candidate).toList();
    assertTrue(many.stream().map(Candidate::id).distinct().count() < 40, "none share an id");

    List<Candidate> apart = Candidate.apart(many);

    assertEquals(40, apart.stream().map(Candidate::id).distinct().count());
    assertEquals(40, apart.size());
    for (int i = 0; i < 40; i++) {
      assertEquals(many.get(i).cure(), apart.get(i).cure());
      assertEquals(apart.get(i).id(), apart.get(i).named("other").id());
      assertTrue(apart.get(i).shortId().matches("[0-9a-f]{2}"), apart.get(i).id());
    }
    assertEquals(many.get(0).id(), apart.get(0).id());
  }
}
