package paredown.refactor.carry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Rendering;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.TokenKind;

/** The head of a new file: the licence of its neighbour, and the package. */
public final class NewFileHead {
  private final OwnerClass owner;
  private final String packageName;
  private final SourceText source;

  /**
   * The head of a file.
   *
   * @param owner the class of its neighbour
   */
  public NewFileHead(OwnerClass owner, String packageName) {
    this.owner = owner;
    this.packageName = packageName;
    this.source = owner.source();
  }

  /**
   * The path of a new class's file: in the folder of its package, below the root of its neighbour.
   *
   * @throws Refused where the folders do not follow the packages
   */
  public String path(String type) {
    String path = owner.trees().path();
    String folder = path.substring(0, path.lastIndexOf('/') + 1);
    String old = folders(owner.packageName());
    if (!folder.endsWith(old)) {
      throw Refused.advising(
          RefusalKind.NOT_A_CLASS,
          "%s is not in a folder named after its package.".formatted(owner.writtenName()),
          "Leave --package out.",
          owner.trees().place(owner.tree()));
    }
    String root = folder.substring(0, folder.length() - old.length());
    return root + folders(packageName) + type + ".java";
  }

  private static String folders(String packageName) {
    return packageName.isEmpty() ? "" : packageName.replace('.', '/') + "/";
  }

  /**
   * The file of a new class.
   *
   * @param behind what stands behind the package
   * @throws Refused where the folders do not follow the packages
   */
  public ChangedFile file(String type, List<? extends Piece> behind) {
    return file(type, behind, path -> source);
  }

  /**
   * The same of pieces from several files.
   *
   * @param sources gives a file by its path
   */
  public ChangedFile file(
      String type, List<? extends Piece> behind, Function<String, SourceText> sources) {
    List<Piece> all = new ArrayList<>(pieces());
    all.addAll(behind);
    return Rendering.created(path(type), all, source, sources);
  }

  /** The change that makes a type, which nobody knows yet. */
  public static Change begun(Program program, ChangedFile file, String type, List<String> notes) {
    Set<String> affected = new TreeSet<>(Set.of(file.path()));
    program.units().forEach(unit -> affected.add(unit.path()));
    return new Change(
        "%s begins.".formatted(type),
        List.of(file),
        Map.of(),
        Map.of(),
        affected,
        new Change.Report(List.of(), List.of(), List.of(), notes));
  }

  /** What stands in front of its imports. */
  private List<Piece> pieces() {
    List<Piece> pieces = new ArrayList<>();
    String end = source.lineEnd();
    var packageTree = owner.trees().unit().tree().getPackage();
    int until = packageTree != null ? owner.trees().start(packageTree) : licenceEnd();
    if (until > 0 && !source.slice(0, until).isBlank()) {
      pieces.add(new Copied(owner.trees().path(), 0, until, List.of()));
    }
    if (!packageName.isEmpty()) {
      pieces.add(Written.plain("package " + packageName + ";" + end + end));
    }
    return pieces;
  }

  /** Without a package, a comment is a licence where a gap parts it from what follows. */
  private int licenceEnd() {
    if (source.tokens().isEmpty()) {
      return 0;
    }
    Token first = source.tokens().get(0);
    int behind = source.nextLine(Math.max(0, first.end() - 1));
    boolean parted =
        first.kind() == TokenKind.BLOCK_COMMENT
            && behind < source.length()
            && source.lineText(source.line(behind)).isBlank();
    return parted ? source.nextLine(behind) : 0;
  }
}
