package paredown.refactor.operation.extractclass;

import com.sun.source.tree.ImportTree;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.TypeElement;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.name.TypeNames;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/**
 * The imports of the extracted class: those of the old file that its names need, in their order.
 */
final class NewClassImports {
  private final OwnerClass owner;
  private final ExtractedMembers members;
  private final CarriedCode carried;
  private final SourceText source;
  private final String end;

  NewClassImports(OwnerClass owner, ExtractedMembers members, CarriedCode carried) {
    this.owner = owner;
    this.members = members;
    this.carried = carried;
    this.source = owner.source();
    this.end = source.lineEnd();
  }

  List<Piece> pieces() {
    List<Piece> pieces = new ArrayList<>();
    Set<String> names = carried.simpleNames();
    NewClass type = members.holder().type();
    Set<String> homes = homes();
    Set<String> single = new HashSet<>();
    int last = -1;
    for (ImportTree tree : owner.trees().unit().tree().getImports()) {
      String name = tree.getQualifiedIdentifier().toString();
      String member = name.substring(name.lastIndexOf('.') + 1);
      String home = name.substring(0, name.lastIndexOf('.'));
      boolean needed = member.equals("*") ? homes.contains(home) : names.contains(member);
      if (needed) {
        single.add(name);
      }
      // A class needs no import of its own package.
      if (needed && (tree.isStatic() || !home.equals(type.packageName()))) {
        if (last >= 0 && hasGap(last, owner.trees().start(tree))) {
          pieces.add(Written.plain(end));
        }
        last = owner.trees().end(tree);
        pieces.add(
            new Copied(
                owner.trees().path(),
                owner.trees().start(tree),
                owner.trees().end(tree),
                List.of()));
        pieces.add(Written.plain(end));
      }
    }
    List<TypeElement> left =
        carried.nestedTypes().stream()
            .sorted(Comparator.comparing(each -> each.getQualifiedName().toString()))
            .toList();
    for (TypeElement each : left) {
      String name = each.getQualifiedName().toString();
      String home = name.substring(0, name.lastIndexOf('.'));
      if (!single.contains(name) && !single.contains(home + ".*")) {
        pieces.add(importOf(each));
        single.add(name);
      }
    }
    if (type.elsewhere()) {
      names.forEach(name -> requireNoOther(name, type.packageName(), single));
    }
    if (!pieces.isEmpty()) {
      pieces.add(Written.plain(end));
    }
    return pieces;
  }

  /** A class of the new package would be meant by a name that no single import explains. */
  private void requireNoOther(String name, String packageName, Set<String> single) {
    boolean explained =
        single.contains(packageName + ".*")
            || single.stream().anyMatch(each -> each.endsWith("." + name));
    if (!explained && owner.program().elements().getTypeElement(packageName + "." + name) != null) {
      throw Refused.of(
          RefusalKind.NAME_HIDDEN,
          name,
          packageName + " has another",
          owner.trees().place(owner.tree()));
    }
  }

  private boolean hasGap(int from, int to) {
    return source.slice(from, to).replace("\r", "").contains("\n\n");
  }

  /** The packages and classes that the carried names come from. */
  private Set<String> homes() {
    Set<String> homes = new LinkedHashSet<>();
    members.fields().forEach(field -> homes(field.range().start(), field.range().end(), homes));
    members.methods().forEach(method -> homes(method.range().start(), method.range().end(), homes));
    carried
        .variables()
        .forEach(tree -> homes(owner.trees().start(tree), owner.trees().end(tree), homes));
    return homes;
  }

  private void homes(int from, int until, Set<String> homes) {
    for (Use use : owner.program().uses().within(owner.trees().path(), from, until)) {
      if (use.isName() || use.isDoc()) {
        home(use.key(), homes);
      }
    }
  }

  private static void home(String key, Set<String> homes) {
    int space = key.indexOf(' ');
    String name = key.substring(space + 1);
    int sharp = name.indexOf('#');
    if (sharp >= 0) {
      homes.add(name.substring(0, sharp).replace('$', '.'));
    } else if (key.startsWith("type ")) {
      String dotted = name.replace('$', '.');
      homes.add(dotted.contains(".") ? dotted.substring(0, dotted.lastIndexOf('.')) : "");
    }
  }

  private Written importOf(TypeElement type) {
    String packageName =
        owner.program().elements().getPackageOf(type).getQualifiedName().toString();
    if (packageName.isEmpty()) {
      throw Refused.because(
          RefusalKind.HIDDEN_FROM_OUTSIDE,
          type.getSimpleName().toString(),
          owner.trees().place(owner.tree()));
    }
    Written.Text text = Written.text("import ");
    String name = type.getQualifiedName().toString();
    TypeNames.spell(text, type, name, owner.program().symbols()::key, null);
    return text.text(";" + end).done();
  }
}
