package paredown.refactor.operation.extractclass;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Modifier;
import paredown.UnusableRequest;
import paredown.edit.Change;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.project.SourceFile;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Words;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;
import paredown.text.Article;

/**
 * Extract class takes fields, and methods that need only them, into a new class of the same package
 * that the old one holds in a single field.
 *
 * <p>Fowler, "Refactoring", second edition, 2018, chapter 7.
 *
 * @param type the class, in any form that one class of the project answers to
 * @param fields at least one, or else a method
 * @param methods names, or names with parameter types where they are overloaded
 * @param name the simple name of the new class
 * @param wishes how it is to be done where there is a choice
 */
public record ExtractClass(
    String type, List<String> fields, List<String> methods, String name, Wishes wishes)
    implements Refactoring {

  /** What a method that needs what stays in its old object receives. */
  public enum Pass {
    /** The whole of it. */
    OWNER,
    /** The values that it reads. */
    VALUES
  }

  /** How another object comes into the field that holds one. */
  public enum PassIn {
    CONSTRUCTOR,
    SETTER
  }

  /**
   * What is wished where there is a choice.
   *
   * @param delegate whether every method that others could call goes on forwarding, or none; empty
   *     where only those that must
   * @param accepted the kinds of refusal that are accepted
   * @param nested whether the new class is put within the old, rather than beside it
   * @param inPackage the package that the new class is put in; empty for the old one's
   * @param heldAs the name of the field that holds the new object; empty where it is told by the
   *     class's name
   * @param pass what methods that need what stays receive; empty where they cannot leave
   * @param passIn how another object comes into that field; empty where none does
   * @param parts places of code in methods that becomes a method each first, under the last names
   *     of the methods that leave; mostly none
   */
  public record Wishes(
      Optional<Boolean> delegate,
      Set<RefusalKind> accepted,
      boolean nested,
      Optional<String> inPackage,
      Optional<String> heldAs,
      Optional<Pass> pass,
      Optional<PassIn> passIn,
      List<String> parts) {
    public static final Wishes NONE = of(Optional.empty(), Set.of());

    /** Wishes for a class beside the old, in a field that is named after it. */
    public static Wishes of(Optional<Boolean> delegate, Set<RefusalKind> accepted) {
      return new Wishes(
          delegate,
          accepted,
          false,
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          List.of());
    }

    public Wishes {
      parts = List.copyOf(parts);
      accepted = Set.copyOf(accepted);
    }

    /** The same for a class in another package. */
    public Wishes inPackage(String home) {
      return new Wishes(delegate, accepted, nested, Optional.of(home), heldAs, pass, passIn, parts);
    }

    /** The same where methods may receive what they need of their old object. */
    public Wishes pass(Pass way) {
      return new Wishes(
          delegate, accepted, nested, inPackage, heldAs, Optional.of(way), passIn, parts);
    }

    /** The same where code becomes methods first. */
    public Wishes parts(List<String> places) {
      return new Wishes(delegate, accepted, nested, inPackage, heldAs, pass, passIn, places);
    }

    /** The same where another object can come into the field. */
    public Wishes passIn(PassIn way) {
      return new Wishes(
          delegate, accepted, nested, inPackage, heldAs, pass, Optional.of(way), parts);
    }
  }

  public ExtractClass {
    fields = List.copyOf(fields);
    methods = List.copyOf(methods);
  }

  /** Without wishes. */
  public ExtractClass(String type, List<String> fields, List<String> methods, String name) {
    this(type, fields, methods, name, Wishes.NONE);
  }

  /** The same with other methods. */
  public ExtractClass withMethods(List<String> others) {
    return new ExtractClass(type, fields, others, name, wishes);
  }

  /** The same where one more kind of refusal is accepted. */
  public ExtractClass accepting(RefusalKind kind) {
    Set<RefusalKind> more = new TreeSet<>(wishes.accepted());
    more.add(kind);
    Wishes accepting =
        new Wishes(
            wishes.delegate(),
            more,
            wishes.nested(),
            wishes.inPackage(),
            wishes.heldAs(),
            wishes.pass(),
            wishes.passIn(),
            wishes.parts());
    return new ExtractClass(type, fields, methods, name, accepting);
  }

  /** The same under another name. */
  public ExtractClass named(String other) {
    return new ExtractClass(type, fields, methods, other, wishes);
  }

  /** The kinds of refusal that this operation can be told to accept. */
  public static List<RefusalKind> acceptable() {
    return List.of(
        RefusalKind.MAPPED_FIELD,
        RefusalKind.MAPPED_CLASS,
        RefusalKind.NATIVE_CODE,
        RefusalKind.SERIALIZED,
        RefusalKind.REFLECTED,
        RefusalKind.NAMED_ELSEWHERE,
        RefusalKind.MAYBE_NULL,
        RefusalKind.STARTED_EARLIER);
  }

  @Override
  public Set<RefusalKind> accepted() {
    return wishes.accepted();
  }

  @Override
  public String command() {
    String members =
        methods.isEmpty() ? "" : " --methods " + Arguments.quoted(String.join(",", methods));
    StringBuilder command =
        new StringBuilder(
            "pare extract class %s%s%s --name %s"
                .formatted(
                    Arguments.quoted(type),
                    fields.isEmpty() ? "" : " --fields " + String.join(",", fields),
                    members,
                    name));
    wishes
        .delegate()
        .ifPresent(keep -> command.append(" --delegate ").append(keep ? "keep" : "none"));
    command.append(wishes.nested() ? " --nested" : "");
    wishes.inPackage().ifPresent(home -> command.append(" --package ").append(home));
    wishes.heldAs().ifPresent(field -> command.append(" --held-as ").append(field));
    wishes.pass().ifPresent(way -> command.append(" --pass ").append(way.name().toLowerCase()));
    wishes
        .passIn()
        .ifPresent(way -> command.append(" --pass-in ").append(way.name().toLowerCase()));
    if (!wishes.parts().isEmpty()) {
      command.append(" --parts ").append(Arguments.quoted(String.join(",", wishes.parts())));
    }
    return command.append(Arguments.accepting(wishes.accepted())).toString();
  }

  @Override
  public String says() {
    return "extract class " + name;
  }

  @Override
  public Optional<Steps> steps(Sources sources) {
    if (!wishes.parts().isEmpty()) {
      return Optional.of(PartsFirst.steps(this, sources));
    }
    boolean without = wishes.delegate().equals(Optional.of(false));
    boolean asks = wishes.pass().equals(Optional.of(Pass.OWNER));
    return fields.isEmpty() && without && asks && !wishes.nested()
        ? Optional.of(new MethodsAlone(this).steps(sources))
        : Optional.empty();
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    try {
      return planned(sources, index);
    } catch (Refused refused) {
      boolean accepted = wishes.accepted().contains(refused.kind());
      throw acceptable().contains(refused.kind()) && !accepted && refused.advice().isEmpty()
          ? refused.with("If that does not matter here, say --accept " + refused.kind().id() + ".")
          : refused;
    }
  }

  private Planned planned(Sources sources, SourceIndex index) {
    DeclaredType header = index.type(type);
    requirePossible(header, sources, index);
    return new Rounds(sources, index)
        .plan(Set.of(header.file()), program -> round(program, header, index));
  }

  /**
   * Requires what can be told before anything is planned.
   *
   * @throws UnusableRequest where the arguments do not fit together
   * @throws Refused where there can be no such class
   */
  void requirePossible(DeclaredType header, Sources sources, SourceIndex index) {
    Words.requireClassName(name);
    wishes.heldAs().ifPresent(Words::requireFieldName);
    wishes.inPackage().ifPresent(name -> Words.requirePackageName(name, "--package"));
    if (wishes.nested() && wishes.inPackage().isPresent()) {
      throw new UnusableRequest(
          "A class is within another or in a package of its own choice, not both.",
          "Leave --nested or --package out.");
    }
    if (fields.isEmpty() && methods.isEmpty()) {
      throw new UnusableRequest(
          "Nothing was named that could leave " + type + ".", "Say --fields, --methods or both.");
    }
    requireClass(header, sources, index);
    requireFreeName(header, index);
  }

  private Rounds.Outcome round(Program program, DeclaredType header, SourceIndex index) {
    OwnerClass owner = OwnerClass.of(program, header);
    Set<String> affected = affected(owner, index);
    if (!ReadableFiles.paths(program).containsAll(affected)) {
      return Rounds.Outcome.lacking(affected);
    }
    ReadableFiles.require(program, Set.of(header.file()));
    ExtractClassPlan plan = new ExtractClassPlan(this, owner, index);
    Change change = plan.change();
    affected.addAll(sharing(plan.widened(), header, index));
    return new Rounds.Outcome(affected, () -> change);
  }

  /** Subclasses could override what becomes visible to them. */
  private static Set<String> sharing(Set<String> words, DeclaredType header, SourceIndex index) {
    Set<String> files = index.filesWith(words);
    files.retainAll(index.filesWith(index.namesOfSubtypes(header.simpleName())));
    return files;
  }

  private static void requireClass(DeclaredType header, Sources sources, SourceIndex index) {
    if (!header.keyword().equals("class")) {
      throw Refused.advising(
          RefusalKind.NOT_A_CLASS,
          "%s is no class but %s, which cannot be split so."
              .formatted(header.name(), Article.with(header.keyword())),
          "",
          header.file());
    }
    SourceFile file = sources.file(header.file()).orElseThrow();
    if (!SourceIndex.isEditable(file)) {
      throw Refused.because(RefusalKind.GENERATED, header.name(), header.file());
    }
  }

  /** No file of the old or the new package may know the name, whatever it means there. */
  private void requireFreeName(DeclaredType header, SourceIndex index) {
    Set<String> near = new TreeSet<>(index.filesIn(index.packageOf(header.file())));
    wishes.inPackage().ifPresent(home -> near.addAll(index.filesIn(home)));
    for (String file : near) {
      boolean sameFile = file.substring(file.lastIndexOf('/') + 1).equalsIgnoreCase(name + ".java");
      if (sameFile || index.holds(file, name)) {
        throw Refused.advising(
            RefusalKind.NAME_TAKEN,
            "The name " + name + " is already used in its package.",
            "Choose another with --name.",
            file);
      }
    }
  }

  /**
   * The files of classes that the old one knows by its package only: they may have to be public.
   */
  private static List<String> neighbours(OwnerClass owner, SourceIndex index) {
    return index.filesIn(owner.packageName()).stream()
        .filter(
            file -> {
              String type = file.substring(file.lastIndexOf('/') + 1).replace(".java", "");
              return index.holds(owner.trees().path(), type);
            })
        .toList();
  }

  /** The files whose meaning the change could touch. */
  private Set<String> affected(OwnerClass owner, SourceIndex index) {
    Set<String> words = new TreeSet<>(Set.of(name));
    for (OwnerClass.Field field : owner.fields(fields)) {
      if (!field.is(Modifier.PRIVATE)) {
        words.add(field.name());
      }
    }
    Set<String> affected = new TreeSet<>(index.filesWith(words));
    affected.add(owner.trees().path());
    wishes.inPackage().ifPresent(home -> affected.addAll(neighbours(owner, index)));
    List<String> open = new ArrayList<>();
    for (OwnerClass.Method method : owner.methods(methods)) {
      if (!method.is(Modifier.PRIVATE)) {
        open.add(method.name());
      }
    }
    if (!open.isEmpty()) {
      Set<String> overriding = index.filesWith(index.namesOfSubtypes(owner.simpleName()));
      overriding.retainAll(index.filesWith(open));
      affected.addAll(overriding);
      if (wishes.delegate().equals(Optional.of(false))) {
        affected.addAll(index.filesWith(open));
      }
    }
    return ReadableFiles.withAuxiliaries(affected, index);
  }
}
