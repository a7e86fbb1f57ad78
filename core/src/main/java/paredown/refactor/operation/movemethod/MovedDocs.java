package paredown.refactor.operation.movemethod;

import com.sun.source.doctree.DocCommentTree;
import com.sun.source.doctree.ParamTree;
import com.sun.source.doctree.ReferenceTree;
import com.sun.source.util.DocTreePath;
import com.sun.source.util.DocTreePathScanner;
import com.sun.source.util.DocTrees;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Rewriting;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/** What the Javadoc comment of a moved method says differently in its new place. */
final class MovedDocs {
  private final Moving moving;
  private final OwnerClass owner;
  private final SourceText source;
  private final TypeNames names;
  private final List<Replacement> edits = new ArrayList<>();

  MovedDocs(Moving moving, TypeNames names) {
    this.moving = moving;
    this.owner = moving.owner();
    this.source = owner.source();
    this.names = names;
  }

  List<Replacement> edits() {
    DocTrees trees = owner.program().trees();
    DocCommentTree comment = trees.getDocCommentTree(moving.method().path());
    if (comment == null) {
      return edits;
    }
    new DocTreePathScanner<Void, Void>() {
      @Override
      public Void visitReference(ReferenceTree reference, Void unused) {
        int offset =
            (int)
                trees
                    .getSourcePositions()
                    .getStartPosition(owner.trees().unit().tree(), comment, reference);
        Element element = trees.getElement(getCurrentPath());
        if (element != null && !(element instanceof TypeParameterElement)) {
          reference(reference.getSignature(), element, offset);
        }
        return super.visitReference(reference, null);
      }

      @Override
      public Void visitParam(ParamTree tag, Void unused) {
        if (moving.through() instanceof Through.Parameter parameter
            && !tag.isTypeParameter()
            && tag.getName().getName().contentEquals(parameter.word())) {
          var positions = trees.getSourcePositions();
          remove(
              (int) positions.getStartPosition(owner.trees().unit().tree(), comment, tag),
              (int) positions.getEndPosition(owner.trees().unit().tree(), comment, tag));
          return null;
        }
        return super.visitParam(tag, null);
      }
    }.scan(new DocTreePath(moving.method().path(), comment), null);
    return edits;
  }

  /** Takes a tag away, with whole lines where it has them for itself. */
  private void remove(int start, int end) {
    int first = source.lineStart(start);
    boolean alone =
        source.slice(first, start).isBlank() || source.slice(first, start).strip().equals("*");
    int next = source.nextLine(Math.max(start, end - 1));
    if (alone && !source.slice(first, next).contains("*/")) {
      edits.add(Rewriting.of(owner.trees(), first, next, "its parameter is the object itself now"));
    }
  }

  private void reference(String signature, Element element, int offset) {
    Use.Place place = new Use.Place(owner.trees().path(), offset, UseKind.DOC);
    if (element instanceof ExecutableElement method) {
      requireParameters(signature, method, offset);
    }
    boolean itself = element.equals(moving.method().element());
    if (itself) {
      edits.add(
          Replacement.of(
              offset,
              offset + signature.length(),
              Written.text("")
                  .here(UseKind.DOC, moving.newKey(), place)
                  .text("#" + moving.name())
                  .done()));
      return;
    }
    String key = owner.program().symbols().key(element);
    int sharp = signature.indexOf('#');
    String typeWord = sharp < 0 ? signature : signature.substring(0, sharp);
    TypeElement type =
        sharp == 0
            ? owner.element()
            : element instanceof TypeElement named
                ? named
                : (TypeElement) element.getEnclosingElement();
    if (key == null || typeWord.contains("/")) {
      return;
    }
    String written =
        typeWord.equals(type.getQualifiedName().toString())
            ? typeWord
            : names.knownOrFull(type, moving.target().element());
    boolean inherited = sharp > 0 && !typeWord.endsWith(type.getSimpleName().toString());
    if (!written.equals(typeWord) && !inherited) {
      edits.add(
          Replacement.of(
              offset,
              offset + typeWord.length(),
              Written.text("").here(UseKind.DOC, key, place).text(written).done()));
    } else if (inherited) {
      throw Refused.because(RefusalKind.STATIC_CONTEXT, "A Javadoc link", source.place(offset));
    }
  }

  /** The types of parameters in a link must be known by their names in the new place, too. */
  private void requireParameters(String signature, ExecutableElement method, int offset) {
    for (VariableElement parameter : method.getParameters()) {
      TypeMirror type = owner.program().types().erasure(parameter.asType());
      if (type instanceof DeclaredType declared
          && declared.asElement() instanceof TypeElement element) {
        String simple = element.getSimpleName().toString();
        boolean named = signature.matches(".*[(,\\s]" + simple + "\\b.*");
        boolean known = names.knownOrFull(element, moving.target().element()).equals(simple);
        if (named && !known) {
          names.of(element, moving.target().element());
        }
        if (named && !names.knownOrFull(element, moving.target().element()).equals(simple)) {
          throw Refused.because(RefusalKind.NAME_HIDDEN, simple, source.place(offset));
        }
      }
    }
  }
}
