package paredown.refactor.operation.changetype;

import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.ShownType;
import paredown.refactor.startup.EarlyUses;
import paredown.refactor.startup.SetAtOnce;
import paredown.refactor.startup.StaticFirst;
import paredown.refactor.use.FieldOnlookers;
import paredown.refactor.use.FixedHead;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MethodFamily;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** What can have the new type, and what must have it together. */
final class Retypable {
  private final Program program;
  private final OwnerClass owner;
  private final Exchange exchange;
  private final Overruled overruled;
  private final FixedHead heads;

  Retypable(OwnerClass owner, Exchange exchange, Overruled overruled) {
    this.program = owner.program();
    this.owner = owner;
    this.exchange = exchange;
    this.overruled = overruled;
    this.heads = new FixedHead(program, owner.trees().place(owner.tree()));
  }

  /**
   * An element and all that has its type with it: a family of methods, what a record makes of a
   * component.
   *
   * @throws paredown.refactor.Refused where one of them cannot have the new type
   */
  Map<Element, Holders.Holder> with(Element element) {
    Optional<VariableElement> component = RecordParts.component(program, element);
    if (component.isPresent()) {
      RecordParts parts = new RecordParts(program, component.get());
      parts
          .family()
          .ifPresent(
              each -> {
                throw cannot(component.get())
                    .because(RefusalKind.OVERRIDES, RefusalKind.OVERRIDES.why(), place(each));
              });
      return parts.with(field(component.get()));
    }
    return switch (element.getKind()) {
      case FIELD -> Map.of(element, field((VariableElement) element));
      case LOCAL_VARIABLE -> Map.of(element, local((VariableElement) element));
      case PARAMETER -> parameter((VariableElement) element);
      case METHOD -> method((ExecutableElement) element);
      default ->
          throw cannot(element)
              .because(RefusalKind.NOT_ALONE, "it is declared in a special way", place(element));
    };
  }

  /** What an element cannot be. */
  Cannot cannot(Element element) {
    return new Cannot(
        "%s cannot be %s".formatted(element.getSimpleName(), ShownType.one(exchange.to())));
  }

  /** What other operations are refused for, too, in the words of this one. */
  Refused inOwnWords(Element element, Refused refused) {
    return refused.subject().isEmpty()
        ? refused
        : cannot(element)
            .because(refused.kind(), withoutStop(refused.reason()), refused.advice(), "")
            .at(refused.places());
  }

  private static String withoutStop(String sentence) {
    return sentence.endsWith(".") ? sentence.substring(0, sentence.length() - 1) : sentence;
  }

  private String place(Element element) {
    TreePath path = program.declaration(element);
    return path == null
        ? owner.trees().place(owner.tree())
        : new UnitTrees(program, program.unit(path).orElseThrow()).place(path.getLeaf());
  }

  private Holders.Holder holder(Element element, TreePath path, Tree type) {
    UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
    if (program.sources().file(trees.path()).filter(SourceIndex::isEditable).isEmpty()) {
      throw cannot(element)
          .because(RefusalKind.GENERATED, RefusalKind.GENERATED.why(), trees.place(path.getLeaf()));
    }
    boolean written = type != null && trees.end(type) >= 0;
    return new Holders.Holder(element, trees, path, written ? type : null);
  }

  private Holders.Holder field(VariableElement field) {
    TypeElement type = (TypeElement) field.getEnclosingElement();
    if (!program.declares(type)) {
      throw cannot(field).because(RefusalKind.NOT_A_CLASS, "it is a library's", place(field));
    }
    OwnerClass home = type.equals(owner.element()) ? owner : OwnerClass.of(program, type);
    OwnerClass.Field own =
        home.fields().stream()
            .filter(each -> each.element().equals(field))
            .findFirst()
            .orElseThrow();
    FieldOnlookers.requireNone(home, own, overruled, ShownType.one(exchange.to()));
    OnlookersFromOutside.assume(owner, List.of(own.name()));
    boolean made = exchange.maker().isPresent() && !own.is(Modifier.STATIC);
    if (exchange.maker().isPresent() && own.is(Modifier.STATIC)) {
      StaticFirst.require(home, own);
    }
    if (made && type.getKind() != ElementKind.RECORD) {
      new EarlyUses(Leaving.of(home, List.of(own.name()), List.of()), null)
          .requireQuietSuperclass();
      SetAtOnce.requireUnasked(home, own);
    }
    return variable(field, own.path());
  }

  private Holders.Holder local(VariableElement variable) {
    TreePath path = program.declaration(variable);
    if (path.getParentPath().getLeaf() instanceof EnhancedForLoopTree
        && exchange.maker().isPresent()) {
      throw cannot(variable).because(RefusalKind.NOT_ALONE, "a loop sets it", place(variable));
    }
    return variable(variable, path);
  }

  /** A variable that is declared alone. */
  private Holders.Holder variable(VariableElement element, TreePath path) {
    Holders.Holder holder = holder(element, path, ((VariableTree) path.getLeaf()).getType());
    if (holder.type() != null) {
      UnitTrees trees = holder.trees();
      boolean behind =
          trees
              .source()
              .slice(trees.end(holder.type()), trees.names().of((VariableTree) path.getLeaf()))
              .contains(",");
      int end = trees.end(path.getLeaf());
      boolean before =
          trees.source().text().charAt(end - 1) == ','
              || trees.source().text().charAt(trees.source().codeTokenFrom(end).start()) == ','
                  && element.getKind() != ElementKind.PARAMETER;
      if (behind || before) {
        throw cannot(element)
            .because(
                RefusalKind.SHARED_DECLARATION,
                "it is declared together with others",
                "Declare it in a statement of its own first.",
                place(element));
      }
    }
    return holder;
  }

  private Map<Element, Holders.Holder> parameter(VariableElement parameter) {
    TreePath path = program.declaration(parameter);
    boolean ofMethod = path != null && path.getParentPath().getLeaf() instanceof MethodTree;
    if (!ofMethod || !(parameter.getEnclosingElement() instanceof ExecutableElement method)) {
      throw cannot(parameter)
          .because(
              RefusalKind.NOT_ALONE,
              path == null ? "a library declares it" : "it belongs to a lambda",
              place(parameter));
    }
    int index = method.getParameters().indexOf(parameter);
    Map<Element, Holders.Holder> found = new LinkedHashMap<>();
    for (ExecutableElement each : MethodFamily.of(program, method)) {
      require(parameter, each, List.of(index));
      VariableElement own = each.getParameters().get(index);
      requireSame(parameter, own.asType(), own);
      requireNoClash(own, each, index);
      found.put(own, variable(own, program.declaration(own)));
    }
    return found;
  }

  private void require(Element what, ExecutableElement method, List<Integer> positions) {
    Optional<FixedHead.Obstacle> met = heads.of(method, positions);
    if (met.isPresent()) {
      throw cannot(what).because(met.get().kind(), met.get().why(), met.get().place());
    }
  }

  private void requireSame(Element what, TypeMirror type, Element other) {
    if (!program.types().isSameType(type, exchange.from())) {
      throw cannot(what)
          .because(
              RefusalKind.DIFFERS, "a method of its family has another type there", place(other));
    }
  }

  /** Of methods that differ in that parameter only, calls could choose another one. */
  private void requireNoClash(Element what, ExecutableElement method, int index) {
    TypeElement type = (TypeElement) method.getEnclosingElement();
    for (Element each : program.elements().getAllMembers(type)) {
      if (each instanceof ExecutableElement other && isLikely(method, other, index)) {
        throw cannot(what)
            .because(
                RefusalKind.NAME_TAKEN,
                "another method differs from its own in that parameter only",
                place(other));
      }
    }
  }

  private boolean isLikely(ExecutableElement method, ExecutableElement other, int index) {
    boolean likely =
        !other.equals(method)
            && other.getSimpleName().equals(method.getSimpleName())
            && other.getParameters().size() == method.getParameters().size()
            && !program
                .elements()
                .overrides(method, other, (TypeElement) method.getEnclosingElement());
    for (int i = 0; likely && i < method.getParameters().size(); i++) {
      likely =
          i == index
              || isSameErased(
                  method.getParameters().get(i).asType(), other.getParameters().get(i).asType());
    }
    return likely;
  }

  private boolean isSameErased(TypeMirror one, TypeMirror other) {
    return program.types().isSameType(program.types().erasure(one), program.types().erasure(other));
  }

  private Map<Element, Holders.Holder> method(ExecutableElement method) {
    Map<Element, Holders.Holder> found = new LinkedHashMap<>();
    for (ExecutableElement each : MethodFamily.of(program, method)) {
      require(method, each, List.of());
      requireSame(method, each.getReturnType(), each);
      TreePath path = program.declaration(each);
      found.put(each, holder(each, path, ((MethodTree) path.getLeaf()).getReturnType()));
    }
    return found;
  }
}
