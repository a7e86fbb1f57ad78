package paredown.cli.show;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import paredown.edit.Assumption;
import paredown.edit.ChangedFile;
import paredown.gate.TestResult;
import paredown.gate.TestsPass;
import paredown.gate.quick.SmallFault;
import paredown.gate.quick.WouldNotice;
import paredown.gate.reach.ReachOfChange;
import paredown.session.Applied;
import paredown.session.Preview;

/** A change as JSON, schema {@code pare-change/1}: previewed, kept or put back. */
public final class ChangeJson {
  private ChangeJson() {}

  /**
   * A preview.
   *
   * @param reach how far the tests reach it; empty where nobody has recorded that
   */
  public static ObjectNode of(Preview preview, Optional<ReachOfChange> reach) {
    ObjectNode answer = Json.answer("pare-change/1").put("outcome", "previewed");
    fill(answer, preview);
    reach.ifPresent(each -> reach(answer.putObject("reach"), each));
    return answer;
  }

  /** Adds which small faults the tests would notice. */
  public static void notice(ObjectNode answer, WouldNotice notice) {
    ObjectNode node = answer.putObject("wouldNotice").put("tried", notice.tried());
    ArrayNode missed = node.putArray("missed");
    for (SmallFault each : notice.missed()) {
      missed.addObject().put("fault", each.says()).put("place", each.place());
    }
  }

  private static void reach(ObjectNode node, ReachOfChange reach) {
    Json.texts(node, "tests", List.copyOf(reach.tests()));
    Json.texts(node, "unreached", reach.unreached());
    Json.texts(node, "changedSince", reach.since());
  }

  public static ObjectNode of(Preview preview, Applied applied) {
    ObjectNode answer =
        Json.answer("pare-change/1").put("outcome", applied.kept() ? "kept" : "put-back");
    fill(answer, preview);
    answer.put("step", applied.step().number());
    answer.put("milliseconds", applied.took().toMillis());
    Json.texts(answer, "notPutBack", applied.notPutBack());
    applied.tests().ifPresent(tests -> tests(answer.putObject("tests"), tests));
    return answer;
  }

  private static void fill(ObjectNode answer, Preview preview) {
    answer
        .put("change", preview.change().id())
        .put("command", preview.command())
        .put("summary", preview.change().summary());
    ArrayNode files = answer.putArray("files");
    for (ChangedFile file : preview.change().files()) {
      Diff diff = Diff.of(file);
      ObjectNode each = files.addObject();
      file.movedFrom().ifPresent(old -> each.put("movedFrom", old));
      each.put("file", file.path())
          .put("created", file.isNew())
          .put("deleted", file.isDeleted())
          .put("added", diff.added())
          .put("removed", diff.removed())
          .put("diff", new String(diff.bytes(), file.after().charset()));
    }
    Json.texts(answer, "api", preview.change().report().api());
    Json.texts(answer, "moreVisible", preview.change().report().wider());
    Json.texts(answer, "delegates", preview.change().report().delegates());
    Json.texts(answer, "notes", preview.change().report().notes());
    Json.texts(answer, "goneTests", preview.change().report().goneTests());
    ArrayNode assumptions = answer.putArray("assumptions");
    for (Assumption assumption : preview.change().report().assumptions()) {
      assumptions
          .addObject()
          .put("kind", assumption.kind().id())
          .put("sentence", assumption.sentence())
          .put("place", assumption.place());
    }
    ObjectNode gates = answer.putObject("gates");
    gates
        .put("passed", preview.verdict().passed())
        .put("filesCompiled", preview.verdict().files())
        .put("namesCompared", preview.verdict().names());
    Json.texts(gates, "newErrors", preview.verdict().errors());
    Json.texts(gates, "changedMeanings", preview.verdict().breaks());
  }

  private static void tests(ObjectNode node, TestsPass.Outcome tests) {
    node.put("passedBefore", tests.before().count(TestResult.Status.PASSED))
        .put("failedBefore", tests.before().count(TestResult.Status.FAILED))
        .put("passedAfter", tests.after().count(TestResult.Status.PASSED))
        .put("failedAfter", tests.after().count(TestResult.Status.FAILED));
    ArrayNode broken = node.putArray("broken");
    for (TestResult result : tests.comparison().broken()) {
      broken
          .addObject()
          .put("test", result.name())
          .put("message", result.message())
          .put("place", result.place());
    }
    Json.texts(node, "vanished", tests.comparison().vanished());
    Json.texts(node, "flaky", tests.flaky().stream().sorted().toList());
  }
}
