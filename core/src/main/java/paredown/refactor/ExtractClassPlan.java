package paredown.refactor;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Piece;
import paredown.edit.Rendering;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Symbols;
import paredown.program.UseKind;
import paredown.refactor.MemberUses.MemberUse;
import paredown.text.Listed;
import paredown.text.SourceText;

/** Works out what extracting a class does to every file, or why it cannot be done. */
final class ExtractClassPlan {
  private final ExtractClass arguments;
  private final OwnerClass owner;
  private final SourceIndex index;
  private final List<OwnerClass.Field> fields;
  private final List<OwnerClass.Method> methods;
  private final Map<Element, String> moved = new HashMap<>();
  private final List<MemberUse> uses;
  private final Overruled overruled;
  private Set<String> widened = Set.of();

  ExtractClassPlan(ExtractClass arguments, OwnerClass owner, SourceIndex index) {
    this.arguments = arguments;
    this.owner = owner;
    this.index = index;
    this.fields = owner.fields(arguments.fields());
    this.methods = owner.methods(arguments.methods());
    fields.forEach(field -> moved.put(field.element(), field.key()));
    methods.forEach(method -> moved.put(method.element(), method.key()));
    this.uses = MemberUses.of(owner.program(), moved);
    this.overruled = new Overruled(arguments.wishes().accepted());
  }

  /** The names of what the change makes more visible, once it is worked out. */
  Set<String> widened() {
    return widened;
  }

  Change change() {
    requireKnownOwner();
    List<MemberUse> staying = uses.stream().filter(use -> !isCarried(use)).toList();
    List<MemberUse> ofFields = staying.stream().filter(use -> isField(use.key())).toList();
    FieldChecks checks = new FieldChecks(owner, fields, fieldUses(uses), overruled);
    checks.require();
    MethodChecks methodChecks = new MethodChecks(owner, methods);
    methodChecks.require(uses.stream().filter(this::isCarried).toList());
    new ReflectionCheck(owner, moved).requireUnless(overruled);

    Reach reach =
        new Reach(
            owner,
            methods.stream().filter(method -> !method.is(Modifier.STATIC)).toList(),
            fieldUses(uses));
    List<OwnerClass.Field> ofObject =
        fields.stream().filter(field -> !field.is(Modifier.STATIC)).toList();
    boolean holds =
        !ofObject.isEmpty() || methods.stream().anyMatch(method -> !method.is(Modifier.STATIC));
    Construction construction =
        ofObject.isEmpty()
            ? new Construction(List.of(), List.of())
            : Construction.of(owner, ofObject, fieldUses(uses), reach);
    if (holds) {
      checks.requireIndependentInitialisers(construction);
      new EarlyUses(owner, ofObject, ofFields, construction, reach).require();
    }
    StaticParts statics = new StaticParts(owner, moved, fields, uses);
    statics.require();

    Set<OwnerClass.Method> delegates = delegates(staying);
    if (leavesNone()) {
      methodChecks.requireNoDelegates(delegates, staying);
    }
    methodChecks.requireCallersNear(delegates, staying);
    OutsideNames.requireNone(owner, leaving(delegates), overruled);
    Set<String> delegated =
        delegates.stream().map(OwnerClass.Method::key).collect(Collectors.toSet());
    List<MemberUse> asking =
        staying.stream().filter(use -> !delegated.contains(use.key())).toList();
    statics.requireNoLaterStart(asking);
    statics.requireNoStaticImport(asking);
    CarriedCode carried =
        new CarriedCode(owner, moved, arguments.name(), typeName(), arguments.wishes().nested());
    List<FieldDeclaration> declarations = FieldDeclaration.of(owner, fields);
    declarations.forEach(carried::carry);
    methods.forEach(method -> carried.carry(method, !delegates.contains(method)));
    Holder holder =
        holder(
            asking.stream().filter(use -> !isStatic(use.key())).toList(),
            carried.variables().stream().map(each -> each.getName().toString()).toList());
    Map<String, FieldAccess> access = access(ofFields, construction, holder);

    ExtractedMembers members =
        new ExtractedMembers(
            fields, declarations, methods, delegates, access, construction, staying, holder);
    Map<String, List<Replacement>> edits = new TreeMap<>();
    new UseEdits(owner, members).collect(edits);
    new OwnerEdits(owner, members).collect(edits);
    carried
        .widening()
        .collect(
            null, (file, edit) -> edits.computeIfAbsent(file, path -> new ArrayList<>()).add(edit));
    widened = carried.widening().names();
    NewClassText text =
        new NewClassText(owner, members, carried, overruled.wasMet(RefusalKind.SERIALIZED));
    return assemble(members, edits, text, carried);
  }

  private void requireKnownOwner() {
    Element outer = owner.element().getEnclosingElement();
    boolean nested = outer.getKind() != ElementKind.PACKAGE;
    boolean local =
        switch (owner.element().getNestingKind()) {
          case LOCAL, ANONYMOUS -> true;
          default -> false;
        };
    if (local || nested && outer.getKind() == ElementKind.METHOD) {
      throw Refused.because(
          RefusalKind.NOT_A_CLASS, owner.simpleName(), owner.trees().place(owner.tree()));
    }
    if (arguments.wishes().nested() && isInner(owner.element()) && release() < 16) {
      throw Refused.advising(
          RefusalKind.NOT_A_CLASS,
          owner.writtenName() + " is an inner class, which could hold no other before Java 16.",
          "Leave --nested out.",
          owner.trees().place(owner.tree()));
    }
    String qualified =
        (owner.packageName().isEmpty() ? "" : owner.packageName() + ".") + arguments.name();
    if (owner.program().elements().getTypeElement(qualified) != null) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "There is a class " + qualified + " on the class path already.",
          "Choose another with --name.");
    }
  }

  private static boolean isInner(TypeElement type) {
    return type.getNestingKind() == NestingKind.MEMBER
        && !type.getModifiers().contains(Modifier.STATIC);
  }

  private int release() {
    var file = owner.program().sources().file(owner.trees().path()).orElseThrow();
    int release = file.module().release();
    return release == 0 ? Runtime.version().feature() : release;
  }

  private List<MemberUse> fieldUses(List<MemberUse> of) {
    return of.stream().filter(use -> isField(use.key())).toList();
  }

  private boolean isStatic(String key) {
    return moved.entrySet().stream()
        .filter(entry -> entry.getValue().equals(key))
        .anyMatch(entry -> entry.getKey().getModifiers().contains(Modifier.STATIC));
  }

  private boolean isField(String key) {
    return key.startsWith("field ");
  }

  /** Whether a use is within a member that leaves. */
  private boolean isCarried(MemberUse use) {
    return fields.stream().anyMatch(field -> isWithin(field, use))
        || methods.stream().anyMatch(method -> owner.holds(method.range(), use));
  }

  private boolean isWithin(OwnerClass.Field field, MemberUse use) {
    return use.file().equals(owner.trees().path())
        && field.declared() <= use.offset()
        && use.offset() < owner.trees().end(field.tree());
  }

  private Holder holder(List<MemberUse> throughIt, List<String> variables) {
    Set<String> files = throughIt.stream().map(MemberUse::file).collect(Collectors.toSet());
    files.add(owner.trees().path());
    boolean outside = files.size() > 1 || !throughIt.stream().allMatch(this::isAskedOfOwnerItself);
    String base = Words.decapitalised(arguments.name());
    List<String> candidates =
        arguments
            .wishes()
            .heldAs()
            .map(List::of)
            .orElse(
                List.of(
                    base, "own" + arguments.name(), base + "Part", "extracted" + arguments.name()));
    String name =
        candidates.stream()
            .filter(each -> !paredown.text.Lexer.isKeyword(each))
            .filter(each -> files.stream().noneMatch(file -> index.holds(file, each)))
            .findFirst()
            .orElseThrow(
                () ->
                    Refused.advising(
                        RefusalKind.NAME_TAKEN,
                        "No free name for the field that would hold " + arguments.name() + ".",
                        "Choose one with --held-as."));
    return new Holder(
        name,
        arguments.name(),
        typeName(),
        owner.binaryName(),
        outside,
        variables,
        arguments.wishes().nested(),
        arguments.wishes().settable() ? setter(name) : "");
  }

  /** The new class's binary name. */
  private String typeName() {
    String prefix = owner.packageName().isEmpty() ? "" : owner.packageName() + ".";
    boolean nested = arguments.wishes().nested();
    return (nested ? owner.binaryName() + "$" : prefix) + arguments.name();
  }

  /** The method that puts another object in, named as those of the class are. */
  private String setter(String field) {
    boolean beans = owner.methods().stream().anyMatch(m -> m.name().matches("[gs]et\\p{Lu}.*"));
    String setter = beans ? "set" + Words.capitalised(field) : field;
    if (!index.filesWith(Set.of(setter)).isEmpty()) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "The method that would put another %s in cannot be named %s: the name is in use."
              .formatted(arguments.name(), setter),
          "Choose another name for the field with --held-as.");
    }
    return setter;
  }

  /** A private field is not inherited: a subclass in the same file cannot be asked for it. */
  private boolean isAskedOfOwnerItself(MemberUse use) {
    String asked =
        use.simple()
            ? owner
                .program()
                .uses()
                .at(use.file(), use.offset(), UseKind.RECEIVER)
                .map(receiver -> receiver.key())
                .orElse("")
            : typeKeyOfQualifier(use);
    return asked.equals(Symbols.typeKey(owner.binaryName()));
  }

  private String typeKeyOfQualifier(MemberUse use) {
    Tree asked =
        use.path().getLeaf() instanceof MemberSelectTree select
            ? select.getExpression()
            : ((MemberReferenceTree) use.path().getLeaf()).getQualifierExpression();
    TypeMirror type = owner.program().trees().getTypeMirror(new TreePath(use.path(), asked));
    return type instanceof DeclaredType declared
        ? owner.program().symbols().key(declared.asElement())
        : "";
  }

  private List<String> leaving(Set<OwnerClass.Method> delegates) {
    List<String> names = new ArrayList<>(fields.stream().map(OwnerClass.Field::name).toList());
    methods.stream()
        .filter(method -> !delegates.contains(method))
        .forEach(method -> names.add(method.name()));
    return names;
  }

  private boolean leavesNone() {
    return arguments.wishes().delegate().equals(Optional.of(false));
  }

  /** The methods that somebody else could call stay, and forward, but where none is to. */
  private Set<OwnerClass.Method> delegates(List<MemberUse> staying) {
    boolean open = !leavesNone();
    return methods.stream()
        .filter(
            method ->
                open && !method.is(Modifier.PRIVATE)
                    || Ties.of(owner, method).isPresent()
                    || Fluent.is(owner, method)
                    || staying.stream()
                        .anyMatch(
                            use ->
                                use.key().equals(method.key())
                                    && !method.is(Modifier.STATIC)
                                    && namesClass(use)))
        .collect(Collectors.toCollection(java.util.LinkedHashSet::new));
  }

  /** Whether a use is a method reference that has no object yet: {@code Sailing::free}. */
  private static boolean namesClass(MemberUse use) {
    return use.path().getLeaf() instanceof MemberReferenceTree reference
        && !isObject(use, reference);
  }

  private static boolean isObject(MemberUse use, MemberReferenceTree reference) {
    Element asked =
        use.trees().element(new TreePath(use.path(), reference.getQualifierExpression()));
    boolean above =
        reference.getQualifierExpression() instanceof IdentifierTree name
            && name.getName().contentEquals("super");
    return !above && !(asked instanceof TypeElement) && !(asked instanceof TypeParameterElement);
  }

  private Map<String, FieldAccess> access(
      List<MemberUse> staying, Construction construction, Holder holder) {
    Set<Integer> targets = construction.targets(owner);
    AccessorNames names = new AccessorNames(owner, fields, methods, holder);
    Map<String, FieldAccess> access = new LinkedHashMap<>();
    for (OwnerClass.Field field : fields) {
      List<MemberUse> here =
          staying.stream()
              .filter(use -> use.key().equals(field.key()))
              .filter(
                  use ->
                      !(use.file().equals(owner.trees().path()) && targets.contains(use.offset())))
              .toList();
      boolean directly =
          field.is(Modifier.STATIC) || here.stream().anyMatch(use -> !use.access().isRead());
      access.put(
          field.key(),
          here.isEmpty()
              ? FieldAccess.none()
              : directly ? FieldAccess.direct() : names.accessor(field));
    }
    return access;
  }

  private Change assemble(
      ExtractedMembers members,
      Map<String, List<Replacement>> edits,
      NewClassText text,
      CarriedCode carried) {
    Program program = owner.program();
    String ownerPath = owner.trees().path();
    java.util.function.Function<String, SourceText> sources =
        path -> program.unit(path).orElseThrow().source();
    String newPath =
        ownerPath.substring(0, ownerPath.lastIndexOf('/') + 1) + arguments.name() + ".java";
    List<ChangedFile> files = new ArrayList<>();
    if (members.holder().nested()) {
      edits.get(ownerPath).add(atEnd(text.pieces()));
    } else {
      List<Piece> pieces = new ArrayList<>(new NewFileHead(owner).pieces());
      pieces.addAll(new NewClassImports(owner, members, carried).pieces());
      pieces.addAll(text.pieces());
      files.add(Rendering.created(newPath, pieces, owner.source(), sources));
    }
    for (Map.Entry<String, List<Replacement>> entry : edits.entrySet()) {
      requireEditable(entry.getKey());
      List<Replacement> replacements = entry.getValue();
      SourceText before = sources.apply(entry.getKey());
      if (entry.getKey().equals(ownerPath)) {
        ChangedFile draft = Rendering.edited(before, replacements, sources);
        replacements = new ArrayList<>(replacements);
        replacements.addAll(UnusedImports.removals(owner.trees(), draft.after()));
      }
      files.add(Rendering.edited(before, replacements, sources));
    }
    Set<String> affected = new TreeSet<>();
    program.units().forEach(unit -> affected.add(unit.path()));
    files.forEach(file -> affected.add(file.path()));
    return new Change(
        summary(members),
        files,
        became(members),
        becameForSelf(members),
        affected,
        report(members, carried));
  }

  /** Puts a class at the end of the owner. */
  private Replacement atEnd(List<Piece> pieces) {
    SourceText source = owner.source();
    int closing = owner.trees().end(owner.tree()) - 1;
    boolean line = source.startsLine(closing);
    int at = line ? source.lineStart(closing) : closing;
    List<Piece> all = new ArrayList<>();
    all.add(Written.plain(source.lineEnd().repeat(line ? 1 : 2)));
    all.addAll(pieces);
    return new Replacement(at, at, all, List.of());
  }

  private void requireEditable(String path) {
    boolean editable =
        owner.program().sources().file(path).filter(SourceIndex::isEditable).isPresent();
    if (!editable) {
      throw Refused.of(RefusalKind.GENERATED, fields.get(0).name(), path + " uses it", path);
    }
  }

  private String summary(ExtractedMembers members) {
    List<String> names = new ArrayList<>(fields.stream().map(OwnerClass.Field::name).toList());
    if (methods.size() > 1) {
      names.add(methods.size() + " methods");
    } else {
      methods.forEach(method -> names.add(method.name() + "()"));
    }
    String held =
        members.holdsObject()
            ? ", which %s holds in its field %s"
                .formatted(owner.simpleName(), members.holder().name())
            : "";
    return "%s of %s %s, %s%s."
        .formatted(
            Listed.of(names),
            owner.writtenName(),
            fields.size() + methods.size() == 1
                ? "becomes a class of its own"
                : "become a class of their own",
            arguments.name(),
            held);
  }

  private Map<String, String> became(ExtractedMembers members) {
    Map<String, String> became = new LinkedHashMap<>();
    for (OwnerClass.Field field : fields) {
      became.put(field.key(), Symbols.fieldKey(members.holder().typeName(), field.name()));
    }
    for (OwnerClass.Method method : methods) {
      if (!members.delegates().contains(method)) {
        became.put(method.key(), members.newKey(method));
      }
    }
    return became;
  }

  private Map<String, String> becameForSelf(ExtractedMembers members) {
    Map<String, String> became = new LinkedHashMap<>();
    members.delegates().forEach(method -> became.put(method.key(), members.newKey(method)));
    for (String variable : members.holder().variables()) {
      became.put(
          Symbols.variableKey(variable, Symbols.typeKey(owner.binaryName())),
          Symbols.variableKey(variable, members.holder().typeKey()));
    }
    return became;
  }

  private Change.Report report(ExtractedMembers members, CarriedCode carried) {
    List<String> api = new ArrayList<>();
    for (OwnerClass.Field field : fields) {
      boolean visible = field.is(Modifier.PUBLIC) || field.is(Modifier.PROTECTED);
      if (visible) {
        api.add("the field " + owner.writtenName() + "#" + field.name() + " goes");
      }
    }
    List<String> wider = new ArrayList<>();
    wider.addAll(carried.widening().announced());
    for (OwnerClass.Field field : fields) {
      FieldAccess access = members.access().get(field.key());
      if (access.isDirect() && field.is(Modifier.PRIVATE)) {
        wider.add(arguments.name() + "#" + field.name() + ": private -> package");
      }
    }
    for (OwnerClass.Method method : methods) {
      if (method.is(Modifier.PRIVATE) && members.isCalledFromOutside(method)) {
        wider.add(arguments.name() + "#" + OwnerClass.signature(method) + ": private -> package");
      }
    }
    for (OwnerClass.Method method : methods) {
      boolean visible = method.is(Modifier.PUBLIC) || method.is(Modifier.PROTECTED);
      if (visible && !members.delegates().contains(method)) {
        api.add(
            "the method %s#%s goes".formatted(owner.writtenName(), OwnerClass.signature(method)));
      }
    }
    List<String> delegates = members.delegates().stream().map(OwnerClass::signature).toList();
    List<String> notes = new ArrayList<>(overruled.notes());
    Companions.note(owner, moved, methods, fieldUses(uses)).ifPresent(notes::add);
    boolean chosen = arguments.wishes().heldAs().isPresent();
    if (!chosen
        && members.holdsObject()
        && !members.holder().name().equals(Words.decapitalised(arguments.name()))) {
      notes.add(
          "The field is named "
              + members.holder().name()
              + " because the file uses "
              + Words.decapitalised(arguments.name())
              + " already.");
    }
    return new Change.Report(api, wider, delegates, notes);
  }
}
