package paredown.refactor.operation.rename;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.gate.Verdict;
import paredown.program.DeclaredType;
import paredown.program.RecentPrograms;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.Words;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;
import paredown.text.Counted;

/**
 * Rename gives a field, a method with all that dispatch together with it, or a variable of a method
 * another name, and says that name wherever it is meant.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param member a field's name, or a method's, with parameter types where it is overloaded
 * @param variable a parameter or local variable of that method; empty text for the member itself
 * @param name the new name
 * @param accessors whether plain accessors of a field are renamed after it
 * @param inStrings whether strings that are just the name say the new one, in files that know the
 *     class
 * @param accepted the kinds of refusal that are accepted
 */
public record Rename(
    String type,
    String member,
    String variable,
    String name,
    boolean accessors,
    boolean inStrings,
    Set<RefusalKind> accepted)
    implements Refactoring {

  /** One that leaves strings as they are. */
  public Rename(
      String type,
      String member,
      String variable,
      String name,
      boolean accessors,
      Set<RefusalKind> accepted) {
    this(type, member, variable, name, accessors, false, accepted);
  }

  public Rename {
    accepted = Set.copyOf(accepted);
  }

  @Override
  public Optional<Steps> steps(Sources sources) {
    if (!accessors) {
      return Optional.empty();
    }
    if (!variable.isEmpty() || member.contains("(")) {
      throw new UnusableRequest(
          "Only a field has accessors that could be renamed after it.", "Leave --accessors out.");
    }
    DeclaredType header = sources.index().type(type);
    OwnerClass owner = OwnerClass.of(RecentPrograms.of(sources, Set.of(header.file())), header);
    owner.fields(List.of(member));
    List<Refactoring> all = new ArrayList<>();
    all.add(new Rename(type, member, "", name, false, inStrings, accepted));
    for (OwnerClass.Method method : owner.methods()) {
      renamed(method)
          .map(
              other ->
                  new Rename(
                      type, OwnerClass.signature(method), "", other, false, inStrings, accepted))
          .ifPresent(all::add);
    }
    int following = all.size() - 1;
    String with =
        following == 0
            ? "; it has no plain accessor"
            : ", and %s with it".formatted(Counted.of(following, "accessor", "accessors"));
    String summary = "%s of %s becomes %s%s.".formatted(member, owner.writtenName(), name, with);
    return Optional.of(new Steps(summary, all));
  }

  /** What an accessor of the field is called then; empty for what is none. */
  private Optional<String> renamed(OwnerClass.Method method) {
    int parameters = method.tree().getParameters().size();
    for (String word : List.of("get", "is", "set", "with")) {
      boolean taking = word.equals("set") || word.equals("with");
      if (method.name().equals(word + Words.capitalised(member))
          && parameters == (taking ? 1 : 0)) {
        return Optional.of(word + Words.capitalised(name));
      }
    }
    return method.name().equals(member) && parameters <= 1 ? Optional.of(name) : Optional.empty();
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    Words.requireVariableName(name);
    DeclaredType header = index.type(type);
    if (name.equals(old())) {
      throw new UnusableRequest("It is named " + name + " already.", "Give another --name.");
    }
    ReadableFiles.requireEditable(sources, header);
    return new Rounds(sources, index)
        .plan(
            Set.of(header.file()),
            program -> {
              ReadableFiles.require(program, Set.of(header.file()));
              RenamePlan plan = new RenamePlan(this, OwnerClass.of(program, header), index);
              return new Rounds.Outcome(plan.affected(), plan::change);
            });
  }

  /** The name that goes. */
  String old() {
    return variable.isEmpty() ? member.replaceAll("\\(.*", "") : variable;
  }

  /** Whether it is a variable of a method, which nothing but that method knows. */
  boolean isOfMethod() {
    return !variable.isEmpty();
  }

  /** The key that a member has then, which is renamed. */
  String newKey(String key) {
    int name = key.startsWith("tvar ") ? "tvar ".length() : key.indexOf('#') + 1;
    return key.substring(0, name) + this.name + key.substring(name + old().length());
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
    return List.of(RefusalKind.SERIALIZED, RefusalKind.MAPPED_FIELD, RefusalKind.REFLECTED);
  }

  @Override
  public String participle() {
    return "renamed";
  }

  @Override
  public String command() {
    String what = type + "#" + member + (variable.isEmpty() ? "" : "#" + variable);
    return "pare rename %s --name %s%s%s%s"
        .formatted(
            Arguments.quoted(what),
            name,
            accessors ? " --accessors" : "",
            inStrings ? " --in-strings" : "",
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "rename %s to %s".formatted(old(), name);
  }
}
