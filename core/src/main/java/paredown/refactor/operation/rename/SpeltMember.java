package paredown.refactor.operation.rename;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.program.Unit;
import paredown.project.SourceFile;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;
import paredown.text.Token;

/** Strings that are just the name of a member, in files that know its class. */
final class SpeltMember {
  private final String type;
  private final String old;
  private final String name;

  private SpeltMember(String type, String old, String name) {
    this.type = type;
    this.old = old;
    this.name = name;
  }

  static SpeltMember of(OwnerClass owner, Rename arguments) {
    return new SpeltMember(owner.simpleName(), arguments.old(), arguments.name());
  }

  /** Whether a string of a source is one, in a file that may be edited. */
  boolean changes(Sources sources, SourceText source, Token literal) {
    return sources.file(source.path()).filter(SourceIndex::isEditable).isPresent()
        && in(source).contains(literal);
  }

  /** The files that have one and may be edited. */
  Set<String> files(Sources sources) {
    Set<String> found = new TreeSet<>();
    for (SourceFile file : sources.files()) {
      if (SourceIndex.isEditable(file) && !in(sources.text(file.path())).isEmpty()) {
        found.add(file.path());
      }
    }
    return found;
  }

  private List<Token> in(SourceText source) {
    String literal = '"' + old + '"';
    if (!source.text().contains(literal) || !source.text().contains(type)) {
      return List.of();
    }
    return source.tokens().stream().filter(token -> source.spells(token, literal)).toList();
  }

  /** Says the new name; where it was said. */
  List<String> edit(Program program, EditList edits) {
    List<String> places = new ArrayList<>();
    for (Unit unit : program.units()) {
      for (Token token : in(unit.source())) {
        if (!changes(program.sources(), unit.source(), token)) {
          continue;
        }
        places.add(unit.source().place(token.start()));
        edits.add(
            unit.path(),
            Replacement.of(token.start() + 1, token.end() - 1, Written.plain(name))
                .proving("says the new name, as it was asked to"));
      }
    }
    return places;
  }
}
