package paredown.refactor;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.edit.Change;
import paredown.gate.Verdict;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;

/** A refactoring is one behaviour-preserving operation with its arguments filled in. */
public interface Refactoring {

  /**
   * Plans the change without touching the disk.
   *
   * @throws Refused where it cannot be done safely
   * @throws paredown.UnusableRequest where an argument names nothing
   */
  Planned plan(Sources sources, SourceIndex index) throws Refused;

  /** What only a person can say before it is planned; mostly nothing. */
  default List<Question> questions(Sources sources, SourceIndex index) {
    return List.of();
  }

  /**
   * The same, where somebody was asked.
   *
   * @param no the questions that were denied
   */
  default Refactoring without(List<Question> no) {
    return this;
  }

  /**
   * A question that can be answered with yes or no.
   *
   * @param place what it is about, {@code FILE:LINE}
   * @param asks the question, one sentence
   * @param code the lines that it is about, as they stand
   */
  record Question(String place, String asks, List<String> code) {
    public Question {
      code = List.copyOf(code);
    }
  }

  /** The steps that it is made of; empty where it is one by itself. */
  default Optional<Steps> steps(Sources sources) {
    return Optional.empty();
  }

  /**
   * Steps are refactorings that are planned one after the other and make one change.
   *
   * @param summary one sentence of what happens in all
   * @param needed how many of the first must be done, or nothing is; one behind these that is
   *     refused is left out and named
   */
  record Steps(String summary, List<Refactoring> all, int needed) {
    /** Steps of which none is left out. */
    public Steps(String summary, List<Refactoring> all) {
      this(summary, all, all.size());
    }
  }

  /**
   * The same, made only of those of its steps that could be done.
   *
   * @param done at least one
   */
  default Refactoring doing(List<Refactoring> done) {
    return this;
  }

  /**
   * Says in words of the operation what the gates found, where that is no fault of its own.
   *
   * @param verdict one that did not pass
   * @throws Refused where it is none
   */
  default void explain(Verdict verdict) throws Refused {}

  /** Whether it takes back, as the last of several, what its report names as more visible. */
  default boolean narrows() {
    return false;
  }

  /** What cannot be done to a member that stands in its way, a participle: {@code inlined}. */
  default String participle() {
    return "moved";
  }

  /** The kinds of refusal that it overrules. */
  default Set<RefusalKind> accepted() {
    return Set.of();
  }

  /** The command that asks for it, as it is typed, without {@code --apply}. */
  String command();

  /** What it does, in words: {@code extract class Passage}. */
  String says();

  /** What was planned, and the program it was planned on, which the gates compare with. */
  record Planned(Change change, Program program) {}
}
