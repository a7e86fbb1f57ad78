package paredown.refactor.plan;

import java.util.Collection;
import java.util.Set;
import java.util.TreeSet;
import paredown.program.CompileError;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.program.Unit;
import paredown.project.SourceFile;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;

/** The files that a refactoring reads must be such that what they mean is known. */
public final class ReadableFiles {
  private ReadableFiles() {}

  /** Types in files of another name are not found by the compiler unless they are given to it. */
  public static Set<String> withAuxiliaries(Set<String> files, SourceIndex index) {
    Set<String> all = new TreeSet<>(files);
    for (DeclaredType type : index.types()) {
      boolean auxiliary =
          type.depth() == 0 && !("/" + type.file()).endsWith("/" + type.simpleName() + ".java");
      if (auxiliary && files.stream().anyMatch(file -> index.holds(file, type.simpleName()))) {
        all.add(type.file());
      }
    }
    return all;
  }

  public static Set<String> paths(Program program) {
    Set<String> paths = new TreeSet<>();
    program.units().forEach(unit -> paths.add(unit.path()));
    return paths;
  }

  /**
   * Requires that a type stands in a file that people write.
   *
   * @throws Refused where it does not
   */
  public static void requireEditable(Sources sources, DeclaredType type) {
    if (!SourceIndex.isEditable(sources.file(type.file()).orElseThrow())) {
      throw Refused.advising(
          RefusalKind.GENERATED,
          type.name() + " is generated or excluded.",
          "Change what it is made of.",
          type.file());
    }
  }

  /**
   * Requires that all files parse and are text, and that some of them compile.
   *
   * @throws Refused where they do not
   */
  public static void require(Program program, Collection<String> compiling) {
    for (CompileError error : program.errors()) {
      if (error.isSyntax()) {
        throw Refused.advising(
            RefusalKind.DOES_NOT_PARSE,
            error.place() + " does not parse: " + error.message().lines().findFirst().orElse(""),
            "Mend it first; nothing that could touch this file is changed until then.",
            error.place());
      }
      if (compiling.contains(error.file())) {
        throw Refused.advising(
            RefusalKind.UNRESOLVED,
            error.place() + " does not compile: " + error.message().lines().findFirst().orElse(""),
            "Mend it first, or give the missing classes with class-path: in pare.yaml.",
            error.place());
      }
    }
    for (Unit unit : program.units()) {
      if (program.sources().isGarbled(unit.path())) {
        throw Refused.advising(
            RefusalKind.GARBLED,
            unit.path() + " is no text in " + unit.source().charset() + ".",
            "Set encoding: in pare.yaml to what it is written in.",
            unit.path());
      }
    }
  }

  /**
   * Requires that two types are shipped together: code that is shipped does not see the tests, and
   * tests are not shipped.
   *
   * @param what goes from one to the other
   * @throws Refused where they are not
   */
  public static void requireSameSide(
      Sources sources, String what, DeclaredType from, DeclaredType to) {
    SourceFile one = sources.file(from.file()).orElseThrow();
    SourceFile other = sources.file(to.file()).orElseThrow();
    if (!one.module().directory().equals(other.module().directory())) {
      throw Refused.of(
          RefusalKind.SEVERAL_MODULES,
          what,
          "%s and %s".formatted(one.module().name(), other.module().name()),
          to.file());
    }
    if (one.kind() != other.kind()) {
      throw Refused.of(
          RefusalKind.TARGET_ELSEWHERE,
          what,
          "one of the two is in the tests and the other is not",
          to.file());
    }
  }
}
