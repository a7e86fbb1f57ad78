package paredown.refactor.operation.extractclass;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.program.Symbols;
import paredown.refactor.carry.Layout;
import paredown.refactor.carry.NewFileHead;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;
import paredown.text.Article;

/**
 * Begin class makes a class beside another, of which nobody makes objects, for members of that one
 * to go to. It is a step of other refactorings.
 *
 * @param whole the extraction that it begins, which names the old class and the new one
 * @param open whether others than its package see it
 */
record BeginClass(ExtractClass whole, boolean open) implements Part {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    String file = index.type(whole.type()).file();
    Set<String> affected = new TreeSet<>(index.filesWith(Set.of(whole.name())));
    affected.add(file);
    return new Rounds(sources, index)
        .plan(affected, program -> new Rounds.Outcome(affected, () -> change(program, index)));
  }

  private Change change(Program program, SourceIndex index) {
    OwnerClass owner = OwnerClass.of(program, index.type(whole.type()));
    NewClass type = NewClass.of(owner, whole.name(), whole.wishes());
    ChangedFile file =
        new NewFileHead(type.owner(), type.packageName())
            .file(type.name(), List.of(text(owner, type)));
    return NewFileHead.begun(program, file, type.name(), List.of());
  }

  private Piece text(OwnerClass owner, NewClass type) {
    String end = owner.source().lineEnd();
    List<String> names = ClassComment.names(owner.methods(whole.methods()));
    ClassComment comment =
        ClassComment.of(
            "", names, " of " + Article.of(owner.simpleName()) + " ", owner.simpleName(), end);
    Written.Text text = Written.text(comment.opening());
    if (type.sight().hides(owner.element())) {
      text.text("{@code " + owner.simpleName());
    } else {
      text.text("{@link ").doc(type.ownerInComments(), Symbols.typeKey(owner.binaryName()));
    }
    text.text(comment.closing());
    text.text((open ? "public " : "") + "final class " + type.name() + " {" + end);
    text.text(Layout.of(owner).unit() + "private " + type.name() + "() {}" + end + "}" + end);
    return text.done();
  }
}
