package paredown.refactor.operation.rename;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.lang.model.element.NestingKind;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Unit;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.ShownName;
import paredown.refactor.name.SpeltName;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.WholeWord;

/** Works out what the rename of a type does to every file, or why it cannot be done. */
final class RenameTypePlan {
  private final RenameType arguments;
  private final DeclaredType header;
  private final OwnerClass owner;
  private final Program program;
  private final SourceIndex index;
  private final SpeltName spelt;

  RenameTypePlan(RenameType arguments, DeclaredType header, OwnerClass owner, SourceIndex index) {
    this.arguments = arguments;
    this.header = header;
    this.owner = owner;
    this.program = owner.program();
    this.index = index;
    this.spelt = arguments.spelt(program.sources(), header);
  }

  Change change() {
    Overruled overruled = new Overruled(arguments.accepted());
    new RenameTypeChecks(arguments, header, owner, index, overruled).require();
    String binary = program.symbols().binary(owner.element());
    String renamed = binary.substring(0, binary.length() - old().length()) + arguments.name();
    Set<String> affected = ReadableFiles.paths(program);
    List<ChangedFile> files = files();
    files.forEach(file -> affected.add(file.path()));
    return new Change(
        "%s becomes %s.".formatted(owner.writtenName(), arguments.name()),
        files,
        Map.of(),
        Map.of(),
        Map.of(binary, renamed),
        affected,
        report(overruled));
  }

  private Change.Report report(Overruled overruled) {
    new ShownName(owner, index).assume();
    return new Change.Report(api(), List.of(), List.of(), notes(overruled))
        .assuming(owner.assumptions().all());
  }

  private String old() {
    return header.simpleName();
  }

  private List<ChangedFile> files() {
    EditList edits = new RenameTypeEdits(arguments, owner).collected();
    if (arguments.inStrings()) {
      spelt.inStrings(program, edits::add);
    }
    List<ChangedFile> files = new ArrayList<>();
    for (ChangedFile file : new EditedFiles(program).of(edits)) {
      files.add(isNamedAfter(file.path()) ? file.at(newPath()) : file);
    }
    if (arguments.inStrings()) {
      files.addAll(spelt.inFiles());
    }
    return files;
  }

  /** Whether a file has its name of the type. */
  private boolean isNamedAfter(String path) {
    return path.equals(header.file())
        && owner.element().getNestingKind() == NestingKind.TOP_LEVEL
        && path.substring(path.lastIndexOf('/') + 1).equals(old() + ".java");
  }

  private String newPath() {
    String path = header.file();
    return path.substring(0, path.length() - (old() + ".java").length())
        + arguments.name()
        + ".java";
  }

  private List<String> api() {
    return AccessLevel.isApi(owner.element())
        ? List.of("%s is %s now".formatted(owner.writtenName(), arguments.name()))
        : List.of();
  }

  /** Text that nobody compiles spells the name, too, and stays. */
  private List<String> notes(Overruled overruled) {
    List<String> notes = new ArrayList<>(overruled.notes());
    notes.addAll(spelt.notes());
    Pattern word = WholeWord.of(old());
    int found = 0;
    String first = "";
    for (Unit unit : program.units()) {
      SourceText source = unit.source();
      for (Token token : source.tokens()) {
        if (!token.kind().isComment() && !token.isLiteral()) {
          continue;
        }
        String text = source.slice(token.start(), token.end());
        boolean told = arguments.inStrings() && token.isLiteral();
        Matcher matcher = word.matcher(told ? spelt.said(text) : text);
        while (matcher.find()) {
          int at = token.start() + matcher.start();
          if (program.uses().within(unit.path(), at, at + 1).isEmpty()) {
            first = found++ == 0 ? source.place(at) : first;
          }
        }
      }
    }
    if (found > 0) {
      notes.add(
          "%s the word %s, and %s as %s: %s%s"
              .formatted(
                  found == 1 ? "A comment or string holds" : found + " comments or strings hold",
                  old(),
                  found == 1 ? "stays" : "stay",
                  found == 1 ? "it is" : "they are",
                  first,
                  found == 1 ? "." : " first."));
    }
    return notes;
  }
}
