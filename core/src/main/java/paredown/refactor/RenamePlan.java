package paredown.refactor;

import com.sun.source.tree.ImportTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.UnusableRequest;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Symbols;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.text.SourceText;

/** Works out what a rename does to every file, or why it cannot be done. */
final class RenamePlan {
  private final Rename arguments;
  private final OwnerClass owner;
  private final Program program;
  private final SourceIndex index;
  private final TreePath declaration;

  /** What is renamed, and the key that each has then; one without a key is local. */
  private final Map<Element, String> renamed = new LinkedHashMap<>();

  private final EditList edits = new EditList();

  RenamePlan(Rename arguments, OwnerClass owner, SourceIndex index) {
    this.arguments = arguments;
    this.owner = owner;
    this.program = owner.program();
    this.index = index;
    this.declaration = declaration();
    Element element = owner.trees().element(declaration);
    if (element instanceof ExecutableElement method) {
      MethodFamily.of(program, method).forEach(this::add);
    } else {
      add(element);
    }
  }

  private void add(Element element) {
    String key = program.symbols().key(element);
    int sharp = key.indexOf('#');
    String behind = sharp < 0 ? "" : key.substring(sharp + 1 + arguments.old().length());
    boolean local = Symbols.isLocal(element);
    renamed.put(element, local ? "" : key.substring(0, sharp + 1) + arguments.name() + behind);
  }

  /** The field, method or variable that is meant. */
  private TreePath declaration() {
    if (!arguments.variable().isEmpty()) {
      return variable(method());
    }
    Optional<OwnerClass.Field> field =
        owner.fields().stream().filter(each -> each.name().equals(arguments.member())).findFirst();
    return field.isPresent() ? field.get().path() : method().path();
  }

  private OwnerClass.Method method() {
    List<OwnerClass.Method> meant = owner.methods(List.of(arguments.member()));
    if (meant.size() > 1) {
      throw new UnusableRequest(
          "%s has %d methods %s.".formatted(owner.writtenName(), meant.size(), arguments.member()),
          "Say which: "
              + meant.stream().map(OwnerClass::signature).collect(Collectors.joining(", "))
              + ".");
    }
    return meant.get(0);
  }

  private TreePath variable(OwnerClass.Method method) {
    List<TreePath> found = new ArrayList<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitVariable(VariableTree tree, Void unused) {
        boolean local = Symbols.isLocal(owner.trees().element(getCurrentPath()));
        if (local && tree.getName().contentEquals(arguments.variable())) {
          found.add(getCurrentPath());
        }
        return super.visitVariable(tree, null);
      }
    }.scan(method.path(), null);
    if (found.size() != 1) {
      String count = found.isEmpty() ? "no variable " : found.size() + " variables ";
      throw new UnusableRequest(
          OwnerClass.signature(method) + " has " + count + arguments.variable() + ".",
          "Name a parameter or a local variable that it has once.");
    }
    return found.get(0);
  }

  private boolean isLocal() {
    return !arguments.variable().isEmpty();
  }

  /** The files whose meaning the change could touch. */
  Set<String> affected() {
    Set<String> affected = new TreeSet<>(Set.of(owner.trees().path()));
    if (!isLocal()) {
      affected.addAll(index.filesWith(Set.of(arguments.old())));
      Set<String> near = index.filesWith(index.namesOfSubtypes(owner.simpleName()));
      near.retainAll(index.filesWith(Set.of(arguments.name())));
      affected.addAll(near);
    }
    return affected;
  }

  Change change() {
    Overruled overruled = new Overruled(arguments.accepted());
    new RenameChecks(owner, arguments, renamed.keySet(), overruled).require();
    for (Element element : renamed.keySet()) {
      TreePath path = program.declaration(element);
      UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
      int at =
          path.getLeaf() instanceof VariableTree variable
              ? trees.names().of(variable)
              : trees.names().of((com.sun.source.tree.MethodTree) path.getLeaf());
      say(trees, at, "");
      documented(element, path, trees);
    }
    Map<String, Element> byKey = new LinkedHashMap<>();
    renamed.keySet().forEach(each -> byKey.put(program.symbols().key(each), each));
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      program.uses().in(unit.path()).toList().forEach(use -> link(use, byKey, trees));
      imports(trees);
    }
    if (isLocal()) {
      UnitTrees trees = owner.trees();
      String key = byKey.keySet().iterator().next();
      program.uses().of(key).stream()
          .filter(use -> use.kind() == UseKind.NAME)
          .forEach(use -> say(trees, use.offset(), ""));
    } else {
      Map<Element, String> keys = new LinkedHashMap<>();
      byKey.forEach((key, element) -> keys.put(element, key));
      MemberUses.of(program, keys).forEach(this::use);
    }
    return assembled(overruled);
  }

  private void use(MemberUses.MemberUse use) {
    String qualifier = use.simple() ? new Shadows(use, arguments.name()).qualifier() : "";
    say(use.trees(), use.offset(), qualifier);
  }

  /** Writes the new name at a place, where other things may be meant besides. */
  private void say(UnitTrees trees, int offset, String qualifier) {
    String old = arguments.old();
    if (!trees.source().text().startsWith(old, offset)) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "The name %s is written in a way that is not understood yet.".formatted(old),
          "Write it plainly there first.",
          trees.source().place(offset));
    }
    Written.Text text = Written.text("");
    List<Use> here = program.uses().within(trees.path(), offset, offset + 1);
    Use name = null;
    for (Use use : here) {
      if (use.kind() == UseKind.NAME) {
        name = use;
      } else if (use.kind() == UseKind.RECEIVER && !qualifier.isEmpty()) {
        qualified(text, use, qualifier);
      } else {
        text.hereStill(use.kind(), use.key(), use.place());
      }
    }
    if (name == null) {
      text.text(arguments.name());
    } else if (isLocal()) {
      text.local(arguments.name(), name.place());
    } else {
      text.name(arguments.name(), newKey(name.key()), name.place());
    }
    edits.add(trees.path(), Replacement.of(offset, offset + old.length(), text.done()));
  }

  private static void qualified(Written.Text text, Use receiver, String qualifier) {
    String binary = receiver.key().substring("type ".length());
    if (!qualifier.equals("this")) {
      text.name(qualifier, receiver.key()).text(".");
    }
    text.name("this", "this of " + binary, receiver.place()).text(".");
  }

  private String newKey(String old) {
    return renamed.entrySet().stream()
        .filter(entry -> program.symbols().key(entry.getKey()).equals(old))
        .map(Map.Entry::getValue)
        .findFirst()
        .orElse(old);
  }

  /** A Javadoc link says the member's name behind a sign. */
  private void link(Use use, Map<String, Element> byKey, UnitTrees trees) {
    if (use.kind() != UseKind.DOC || !byKey.containsKey(use.key()) || isLocal()) {
      return;
    }
    SourceText source = trees.source();
    int sharp = source.text().indexOf('#', use.offset());
    boolean plain =
        sharp >= 0
            && !source.slice(use.offset(), sharp).contains(" ")
            && source.text().startsWith(arguments.old(), sharp + 1);
    if (!plain) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "A Javadoc link names %s in a way that is not understood yet.".formatted(arguments.old()),
          "Write it as {@link Type#member} first.",
          source.place(use.offset()));
    }
    String old = arguments.old();
    edits.add(
        trees.path(),
        Replacement.of(sharp + 1, sharp + 1 + old.length(), Written.plain(arguments.name())));
  }

  /** The comment of a method tells of its parameters by their names. */
  private void documented(Element element, TreePath path, UnitTrees trees) {
    if (!isLocal() || element.getKind() != javax.lang.model.element.ElementKind.PARAMETER) {
      return;
    }
    TreePath method = path.getParentPath();
    if (!(method.getLeaf() instanceof com.sun.source.tree.MethodTree)) {
      return;
    }
    MemberRange range =
        MemberRange.of(trees.source(), trees.start(method.getLeaf()), trees.end(method.getLeaf()));
    Matcher tag =
        Pattern.compile("@param\\s+(" + Pattern.quote(arguments.old()) + ")\\b")
            .matcher(trees.source().slice(range.start(), range.declaration()));
    while (tag.find()) {
      edits.add(
          trees.path(),
          Replacement.of(
              range.start() + tag.start(1),
              range.start() + tag.end(1),
              Written.plain(arguments.name())));
    }
  }

  /** A static import names all members of a name at once. */
  private void imports(UnitTrees trees) {
    for (Element element : renamed.keySet()) {
      if (!element.getModifiers().contains(Modifier.STATIC)) {
        continue;
      }
      TypeElement type = (TypeElement) element.getEnclosingElement();
      String whole = type.getQualifiedName() + "." + arguments.old();
      for (ImportTree tree : trees.unit().tree().getImports()) {
        if (tree.isStatic() && tree.getQualifiedIdentifier().toString().equals(whole)) {
          boolean others =
              type.getEnclosedElements().stream()
                  .filter(each -> each.getModifiers().contains(Modifier.STATIC))
                  .filter(each -> each.getSimpleName().contentEquals(arguments.old()))
                  .anyMatch(each -> !renamed.containsKey(each));
          int end = trees.end(tree.getQualifiedIdentifier());
          int start = end - arguments.old().length();
          if (others) {
            throw Refused.advising(
                RefusalKind.CALL_SHAPE,
                "A static import names other members that are called %s, too."
                    .formatted(arguments.old()),
                "Import what is renamed by its class there first.",
                trees.source().place(start));
          }
          Use use = program.uses().at(trees.path(), start, UseKind.NAME).orElseThrow();
          String key = use.key().replaceFirst("(?<=^static member )\\S+", arguments.name());
          edits.add(
              trees.path(),
              Replacement.of(
                  start, end, Written.text("").name(arguments.name(), key, use.place()).done()));
        }
      }
    }
  }

  private Change assembled(Overruled overruled) {
    Map<String, String> became = new LinkedHashMap<>();
    renamed.forEach(
        (element, key) -> {
          if (!key.isEmpty()) {
            became.put(program.symbols().key(element), key);
          }
        });
    Set<String> affected =
        program.units().stream().map(Unit::path).collect(Collectors.toCollection(TreeSet::new));
    return new Change(
        summary(),
        new EditedFiles(program).of(edits),
        became,
        Map.of(),
        affected,
        new Change.Report(api(), List.of(), List.of(), notes(overruled)).assuming(assumptions()));
  }

  private String summary() {
    if (isLocal()) {
      return "%s of %s in %s becomes %s."
          .formatted(
              arguments.variable(), arguments.member(), owner.writtenName(), arguments.name());
    }
    int more = renamed.size() - 1;
    String with =
        more == 0
            ? ""
            : more == 1
                ? ", and one method more that dispatches with it"
                : ", and %d methods more that dispatch with it".formatted(more);
    return "%s of %s becomes %s%s."
        .formatted(arguments.member(), owner.writtenName(), arguments.name(), with);
  }

  private List<String> api() {
    return renamed.keySet().stream()
        .filter(each -> !Symbols.isLocal(each) && isSeen(each))
        .map(
            each ->
                "%s#%s is %s now"
                    .formatted(
                        each.getEnclosingElement().getSimpleName(),
                        arguments.old(),
                        arguments.name()))
        .toList();
  }

  private static boolean isSeen(Element element) {
    Set<Modifier> modifiers = element.getModifiers();
    boolean open = modifiers.contains(Modifier.PUBLIC) || modifiers.contains(Modifier.PROTECTED);
    Element around = element.getEnclosingElement();
    return open && (!(around instanceof TypeElement) || isSeen(around));
  }

  private List<String> notes(Overruled overruled) {
    List<String> notes = new ArrayList<>(overruled.notes());
    if (!isLocal()) {
      program
          .sources()
          .others()
          .naming(owner.element().getQualifiedName().toString(), Set.of(arguments.old()))
          .ifPresent(
              place -> notes.add("%s spells the name too; it stays as it is.".formatted(place)));
    }
    return notes;
  }

  private List<Assumption> assumptions() {
    if (!isLocal()) {
      boolean closed =
          renamed.keySet().stream()
              .allMatch(each -> each.getModifiers().contains(Modifier.PRIVATE));
      OnlookersFromOutside.assume(owner, closed ? List.of() : List.of(arguments.old()));
    }
    return owner.assumptions().all();
  }
}
