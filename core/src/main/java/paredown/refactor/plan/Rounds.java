package paredown.refactor.plan;

import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Supplier;
import paredown.edit.Change;
import paredown.program.DeclaredType;
import paredown.program.OnlySkeleton;
import paredown.program.Program;
import paredown.program.RecentPrograms;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/**
 * Plans in rounds: which files a change could touch shows only while it is planned, so that it is
 * planned again on a program that has them, until it asks for no others.
 */
public record Rounds(Sources sources, SourceIndex index) {

  /**
   * What one round came to.
   *
   * @param affected the files that the change could touch
   * @param change the change, asked for where the program has all of these
   */
  public record Outcome(Set<String> affected, Supplier<Change> change) {
    /** What asks for files before anything can be planned. */
    public static Outcome lacking(Set<String> files) {
      return new Outcome(
          files,
          () -> {
            throw new IllegalStateException("Nothing was planned without " + files);
          });
    }
  }

  /**
   * Plans what touches nothing but one file.
   *
   * @throws Refused where it may not be edited, or does not compile
   */
  public Refactoring.Planned ofFile(String path, Function<UnitTrees, Change> change) {
    if (!SourceIndex.isEditable(sources.file(path).orElseThrow())) {
      throw Refused.because(RefusalKind.GENERATED, path, path);
    }
    Set<String> files = Set.of(path);
    return plan(
        files,
        program -> {
          ReadableFiles.require(program, files);
          UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
          return new Outcome(files, () -> change.apply(trees));
        });
  }

  /**
   * Plans what begins with one class.
   *
   * @param type the class, in any form that one type of the project answers to
   * @param words the files with one of these are read from the beginning
   * @param planned what comes of it, and the other files that it could touch
   * @throws Refused where its file may not be edited, or does not compile
   */
  public Refactoring.Planned ofClass(
      String type, Set<String> words, Function<OwnerClass, Outcome> planned) {
    DeclaredType header = index.type(type);
    ReadableFiles.requireEditable(sources, header);
    Set<String> first = new TreeSet<>(index.filesWith(words));
    first.add(header.file());
    return plan(
        first,
        program -> {
          ReadableFiles.require(program, Set.of(header.file()));
          Outcome outcome = planned.apply(OwnerClass.of(program, header));
          Set<String> affected = new TreeSet<>(first);
          affected.addAll(outcome.affected());
          return new Outcome(affected, outcome.change());
        });
  }

  /** Plans until nothing is lacking, beginning with some files. */
  public Refactoring.Planned plan(Set<String> first, Function<Program, Outcome> round) {
    Set<String> looked = ReadableFiles.withAuxiliaries(first, index);
    while (true) {
      try {
        Program program = RecentPrograms.of(sources, looked);
        Outcome outcome = round.apply(program);
        Set<String> needed = new TreeSet<>(looked);
        needed.addAll(outcome.affected());
        needed = ReadableFiles.withAuxiliaries(needed, index);
        if (needed.equals(looked)) {
          return new Refactoring.Planned(outcome.change().get(), program);
        }
        looked = needed;
      } catch (OnlySkeleton skeleton) {
        looked = new TreeSet<>(looked);
        looked.add(skeleton.file());
        looked = ReadableFiles.withAuxiliaries(looked, index);
      }
    }
  }
}
