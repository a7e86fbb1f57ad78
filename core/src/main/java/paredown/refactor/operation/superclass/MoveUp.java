package paredown.refactor.operation.superclass;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import paredown.UnusableRequest;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** Takes the members that classes have in common up to the class that they extend. */
record MoveUp(ExtractSuperclass whole) implements Step {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    List<DeclaredType> headers = whole.classes().stream().map(index::type).distinct().toList();
    headers.forEach(each -> ReadableFiles.requireEditable(sources, each));
    Set<String> first = new TreeSet<>();
    headers.forEach(each -> first.add(each.file()));
    return new Rounds(sources, index)
        .plan(
            first,
            program -> {
              ReadableFiles.require(program, first);
              List<OwnerClass> owners =
                  headers.stream().map(each -> OwnerClass.of(program, each)).toList();
              OwnerClass parent = parent(program, owners);
              CommonMembers common =
                  CommonSearch.of(
                      owners.get(0), owners.subList(1, owners.size()), parent, whole.members());
              Set<String> files = new TreeSet<>(first);
              files.add(parent.trees().path());
              files.addAll(index.filesWith(common.names()));
              if (!GivenUp.fields(common).isEmpty()) {
                // Whoever extends the class above calls one of its constructors.
                files.addAll(index.filesWith(Set.of(parent.simpleName())));
              }
              return new Rounds.Outcome(files, new MoveUpPlan(whole, common)::change);
            });
  }

  /** The class that all of them extend. */
  private OwnerClass parent(Program program, List<OwnerClass> owners) {
    List<Element> parents =
        owners.stream()
            .map(each -> program.types().asElement(each.element().getSuperclass()))
            .distinct()
            .toList();
    String advice = "Put a new one above them: --name NAME.";
    if (parents.size() > 1 || !(parents.get(0) instanceof TypeElement type)) {
      throw new UnusableRequest(
          "%s do not extend the same class.".formatted(Listed.of(whole.simpleNames())), advice);
    }
    OwnerClass parent = OwnerClass.of(program, type);
    if (parent == null) {
      throw new UnusableRequest(
          "%s, above %s, is not a class of the project."
              .formatted(type.getSimpleName(), Listed.of(whole.simpleNames())),
          advice);
    }
    return parent;
  }

  /** The key that a member has when it is above. */
  static String above(CommonMembers common, String key) {
    String kind = key.substring(0, key.indexOf(' ') + 1);
    return kind + common.parent().binaryName() + key.substring(key.lastIndexOf('#'));
  }

  /** The keys of all members that go up, the twins among them, and those that they have then. */
  static Map<String, String> became(CommonMembers common) {
    Map<String, String> became = new LinkedHashMap<>();
    List<OwnerClass.Field> fields = new ArrayList<>(common.fields());
    List<OwnerClass.Method> methods = new ArrayList<>(common.methods());
    fields.forEach(each -> became.put(each.key(), above(common, each.key())));
    methods.forEach(each -> became.put(each.key(), above(common, each.key())));
    for (Sibling sibling : common.siblings()) {
      fields.forEach(
          each -> became.put(sibling.fields().get(each).key(), above(common, each.key())));
      methods.forEach(
          each -> became.put(sibling.methods().get(each).key(), above(common, each.key())));
    }
    return became;
  }
}
