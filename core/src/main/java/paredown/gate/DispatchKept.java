package paredown.gate;

import com.sun.source.tree.ClassTree;
import com.sun.source.util.TreePathScanner;
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
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.program.Below;
import paredown.program.Program;
import paredown.program.Slots;

/**
 * The part of <em>bindings kept</em> that stands nowhere in the text: in every class below one that
 * a change touches, each method that can be asked for runs the declaration that it ran before.
 */
final class DispatchKept {
  private static final Set<Modifier> TOLD =
      Set.of(
          Modifier.PUBLIC,
          Modifier.PROTECTED,
          Modifier.PRIVATE,
          Modifier.STATIC,
          Modifier.ABSTRACT,
          Modifier.DEFAULT,
          Modifier.FINAL);

  private final Program before;
  private final Program after;
  private final Change change;
  private final Provenance provenance;
  private final List<String> breaks = new ArrayList<>();
  private final Map<String, Set<String>> standIns;
  private final NewOverride override;
  private final CameUp cameUp;

  /** The types of the changed files, and what their methods are like, by their keys. */
  private record Shape(Map<String, TypeElement> types, Map<String, Map<String, String>> methods) {}

  private DispatchKept(Program before, Program after, Change change) {
    this.before = before;
    this.after = after;
    this.change = change;
    this.provenance = new Provenance(change);
    this.standIns = standIns();
    this.override = new NewOverride(before, after, change);
    this.cameUp = new CameUp(after, change);
  }

  /** What runs something else than before, a sentence each; empty where nothing does. */
  static List<String> breaks(Program before, Program after, Change change) {
    DispatchKept kept = new DispatchKept(before, after, change);
    kept.compare();
    return kept.breaks.stream().distinct().toList();
  }

  private void compare() {
    Shape was = shape(before);
    Shape is = shape(after);
    Set<String> names = new TreeSet<>();
    List<TypeElement> touched = new ArrayList<>();
    for (Map.Entry<String, TypeElement> entry : was.types().entrySet()) {
      Map<String, String> old = was.methods().get(entry.getKey());
      Map<String, String> now = is.methods().getOrDefault(image(entry.getKey()), Map.of());
      Set<String> differ = differing(old, now);
      if (!differ.isEmpty()) {
        touched.add(entry.getValue());
        names.addAll(differ);
      }
    }
    if (touched.isEmpty()) {
      return;
    }
    Map<String, TypeElement> later = new HashMap<>();
    Below.of(after, imagesOf(touched, is))
        .forEach(type -> later.put(after.symbols().key(type), type));
    later.putAll(is.types());
    List<TypeElement> all = new ArrayList<>(touched);
    all.addAll(Below.of(before, touched));
    for (TypeElement type : all) {
      TypeElement now = later.get(image(before.symbols().key(type)));
      if (now != null && !isWithoutObjects(type, now)) {
        compare(type, now, names);
      }
    }
  }

  /** Whether all objects of a class are of those below it, which are looked at themselves. */
  private boolean isWithoutObjects(TypeElement was, TypeElement is) {
    return isAbstract(was) && isAbstract(is) && before.knowsBodiesBelow(was);
  }

  private static boolean isAbstract(TypeElement type) {
    return type.getKind() == ElementKind.CLASS && type.getModifiers().contains(Modifier.ABSTRACT);
  }

  private List<TypeElement> imagesOf(List<TypeElement> touched, Shape is) {
    return touched.stream()
        .map(type -> is.types().get(image(before.symbols().key(type))))
        .flatMap(type -> Optional.ofNullable(type).stream())
        .toList();
  }

  private Shape shape(Program program) {
    Map<String, TypeElement> types = new LinkedHashMap<>();
    Map<String, Map<String, String>> methods = new LinkedHashMap<>();
    for (ChangedFile file : change.files()) {
      boolean old = program == before;
      program
          .unit(old ? file.movedFrom().orElse(file.path()) : file.path())
          .ifPresent(
              unit ->
                  new TreePathScanner<Void, Void>() {
                    @Override
                    public Void visitClass(ClassTree tree, Void unused) {
                      if (program.trees().getElement(getCurrentPath())
                          instanceof TypeElement type) {
                        types.put(program.symbols().key(type), type);
                        methods.put(program.symbols().key(type), methods(program, type));
                      }
                      return super.visitClass(tree, null);
                    }
                  }.scan(unit.tree(), null));
    }
    return new Shape(types, methods);
  }

  private static Map<String, String> methods(Program program, TypeElement type) {
    Map<String, String> found = new TreeMap<>();
    for (ExecutableElement method : ElementFilter.methodsIn(type.getEnclosedElements())) {
      String modifiers =
          method.getModifiers().stream()
              .filter(TOLD::contains)
              .map(Enum::name)
              .sorted()
              .collect(Collectors.joining(" "));
      found.put(program.symbols().key(method), modifiers);
    }
    return found;
  }

  /** The simple names of methods that one of the two has otherwise. */
  private Set<String> differing(Map<String, String> old, Map<String, String> now) {
    Set<String> names = new TreeSet<>();
    Map<String, String> open = new TreeMap<>(now);
    old.forEach(
        (key, modifiers) -> {
          if (!modifiers.equals(open.remove(placed(key)))) {
            names.add(name(key));
          }
        });
    open.keySet().forEach(key -> names.add(name(key)));
    return names;
  }

  private static String name(String method) {
    int end = method.lastIndexOf('(');
    return method.substring(method.lastIndexOf('#', end) + 1, end);
  }

  /** A key that names no other member than before, though its place in the text may be another. */
  private String placed(String key) {
    return key.contains("@{") ? image(key) : key;
  }

  private String image(String key) {
    return provenance.image(key, "", null);
  }

  /**
   * The same, or the key of a member of the same type that has another name now, or that stands
   * above it now.
   *
   * @param above the types above the one that is looked at, and itself
   */
  private String renamed(String key, Set<String> above) {
    String became = change.became().get(key);
    boolean same =
        became != null && (type(became).equals(type(key)) || above.contains(type(became)));
    return same ? provenance.placed(became) : placed(key);
  }

  /** What the keys of the methods of a type, and of those above it, begin with. */
  private Set<String> above(TypeElement type) {
    Set<String> above = new TreeSet<>();
    above.add("method " + after.symbols().binary(type) + "#");
    for (TypeElement each : after.supertypes(type)) {
      above.add("method " + after.symbols().binary(each) + "#");
    }
    return above;
  }

  /** The methods that code asks its object for in the place of others, with those others. */
  private Map<String, Set<String>> standIns() {
    Map<String, Set<String>> standIns = new HashMap<>();
    change
        .becameForSelf()
        .forEach((was, now) -> standIns.computeIfAbsent(now, each -> new TreeSet<>()).add(was));
    return standIns;
  }

  private static String type(String member) {
    return member.substring(0, member.indexOf('#') + 1);
  }

  private void compare(TypeElement was, TypeElement is, Set<String> names) {
    Map<String, String> old = Slots.of(before, was, names);
    Map<String, String> now = Slots.of(after, is, names);
    Set<String> above = above(is);
    Set<String> known = new TreeSet<>();
    for (Map.Entry<String, String> slot : old.entrySet()) {
      String stays = renamed(slot.getKey(), above);
      if (!now.containsKey(stays)) {
        continue;
      }
      known.add(stays);
      String expected = renamed(slot.getValue(), above);
      if (!expected.equals(now.get(stays)) && !override.beginsWith(now.get(stays), expected)) {
        broke(was, stays, expected, now.get(stays));
      }
    }
    now.forEach(
        (slot, runs) -> {
          boolean asBefore =
              standIns.getOrDefault(slot, Set.of()).stream()
                  .anyMatch(each -> old.containsKey(each) && old.get(each).equals(runs));
          boolean otherwise = !known.contains(slot) && !runs.equals(slot) && !asBefore;
          boolean apart = otherwise && runs.equals(old.get(runs)) && cameUp.isApart(slot, old);
          if (otherwise && !apart) {
            broke(was, slot, slot, runs);
          }
        });
  }

  private void broke(TypeElement type, String slot, String expected, String runs) {
    breaks.add(
        "an object of %s that is asked for %s would run %s instead of %s"
            .formatted(
                type.getSimpleName().length() == 0 ? "a class without a name" : type,
                word(slot),
                word(runs),
                word(expected)));
  }

  private static String word(String keys) {
    return keys.isEmpty() ? "nothing" : keys.replace("method ", "").replace(" | ", " and ");
  }
}
