package paredown.refactor.operation.rename;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import paredown.UnusableRequest;
import paredown.gate.Verdict;
import paredown.program.DeclaredType;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.Words;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.name.SpeltName;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/**
 * Rename type gives a class, interface, enum, record or annotation another name, wherever it is
 * meant, and its file with it where that is named after it.
 *
 * @param type the type, in any form that one type of the project answers to
 * @param name the new simple name
 * @param inStrings whether its whole name is changed in strings, and in files that are not code
 * @param accepted the kinds of refusal that are accepted
 */
public record RenameType(String type, String name, boolean inStrings, Set<RefusalKind> accepted)
    implements Refactoring {

  /** One that leaves strings and other files as they are. */
  public RenameType(String type, String name, Set<RefusalKind> accepted) {
    this(type, name, false, accepted);
  }

  public RenameType {
    accepted = Set.copyOf(accepted);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    Words.requireClassName(name);
    DeclaredType header = index.type(type);
    if (name.equals(header.simpleName())) {
      throw new UnusableRequest("It is named " + name + " already.", "Give another --name.");
    }
    ReadableFiles.requireEditable(sources, header);
    Set<String> affected = new TreeSet<>(index.filesWith(Set.of(header.simpleName(), name)));
    affected.add(header.file());
    if (inStrings) {
      affected.addAll(spelt(sources, header).files());
    }
    return new Rounds(sources, index)
        .plan(
            affected,
            program -> {
              ReadableFiles.require(program, Set.of(header.file()));
              RenameTypePlan plan =
                  new RenameTypePlan(this, header, OwnerClass.of(program, header), index);
              return new Rounds.Outcome(affected, plan::change);
            });
  }

  /** Its whole name, where no compiler reads it. */
  SpeltName spelt(Sources sources, DeclaredType header) {
    String binary = header.name();
    String around = binary.substring(0, binary.length() - header.simpleName().length());
    return new SpeltName(sources, binary, around + name);
  }

  @Override
  public void explain(Verdict verdict) {
    throw Clash.of(name, verdict);
  }

  @Override
  public Set<RefusalKind> accepted() {
    return accepted;
  }

  /** The kinds of refusal that this operation can be told to accept. */
  public static List<RefusalKind> acceptable() {
    return NamedFromOutside.acceptable();
  }

  @Override
  public String participle() {
    return "renamed";
  }

  @Override
  public String command() {
    return "pare rename %s --name %s%s%s"
        .formatted(
            Arguments.quoted(type),
            name,
            inStrings ? " --in-strings" : "",
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "rename %s to %s".formatted(type.substring(type.lastIndexOf('.') + 1), name);
  }
}
