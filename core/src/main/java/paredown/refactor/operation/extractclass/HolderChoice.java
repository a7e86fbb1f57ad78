package paredown.refactor.operation.extractclass;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.program.SourceIndex;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Words;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.text.Lexer;

/** Chooses the field that holds the new object: its name, and who sees it. */
final class HolderChoice {
  private final NewClass type;
  private final ExtractClass.Wishes wishes;
  private final SourceIndex index;
  private final Optional<OwnCopy> copied;

  /**
   * A choice.
   *
   * @param copied where clones get an object of their own; empty where they share it
   */
  HolderChoice(
      NewClass type, ExtractClass.Wishes wishes, SourceIndex index, Optional<OwnCopy> copied) {
    this.type = type;
    this.copied = copied;
    this.wishes = wishes;
    this.index = index;
  }

  /**
   * The field.
   *
   * @param through the uses that will go through it
   * @param variables the type variables that the new class has
   */
  Holder of(List<MemberUse> through, List<String> variables) {
    Set<String> files = through.stream().map(MemberUse::file).collect(Collectors.toSet());
    files.add(type.owner().trees().path());
    boolean outside = files.size() > 1 || !through.stream().allMatch(this::isAskedOfOwnerItself);
    String name =
        candidates().stream()
            .filter(each -> !Lexer.isKeyword(each))
            .filter(each -> files.stream().noneMatch(file -> index.holds(file, each)))
            .findFirst()
            .orElseThrow(
                () ->
                    Refused.advising(
                        RefusalKind.NAME_TAKEN,
                        "No free name for the field that would hold " + type.name() + ".",
                        "Choose one with --held-as."));
    return new Holder(
        name,
        type,
        outside,
        variables,
        copied,
        wishes.passIn().equals(Optional.of(ExtractClass.PassIn.SETTER)) ? setter(name) : "");
  }

  private List<String> candidates() {
    String base = plain();
    return wishes
        .heldAs()
        .map(List::of)
        .orElse(List.of(base, "own" + type.name(), base + "Part", "extracted" + type.name()));
  }

  private String plain() {
    return Words.decapitalised(type.name());
  }

  /** Why it is not named after its class; empty where it is, or where its name was chosen. */
  Optional<String> note(Holder holder) {
    boolean plainly = wishes.heldAs().isPresent() || holder.name().equals(plain());
    return plainly
        ? Optional.empty()
        : Optional.of(
            "The field is named %s because the file uses %s already."
                .formatted(holder.name(), plain()));
  }

  /** The method that puts another object in, named as those of the class are. */
  private String setter(String field) {
    boolean beans =
        type.owner().methods().stream().anyMatch(m -> m.name().matches("[gs]et\\p{Lu}.*"));
    String setter = beans ? "set" + Words.capitalised(field) : field;
    if (!index.filesWith(Set.of(setter)).isEmpty()) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "The method that would put another %s in cannot be named %s: the name is in use."
              .formatted(type.name(), setter),
          "Choose another name for the field with --held-as.");
    }
    return setter;
  }

  /** A private field is not inherited: a subclass in the same file cannot be asked for it. */
  private boolean isAskedOfOwnerItself(MemberUse use) {
    String asked =
        use.simple()
            ? use.trees()
                .program()
                .uses()
                .at(use.file(), use.offset(), UseKind.RECEIVER)
                .map(receiver -> receiver.key())
                .orElse("")
            : use.askedType().map(use.trees().program().symbols()::key).orElse("");
    return asked.equals(Symbols.typeKey(type.owner().binaryName()));
  }
}
