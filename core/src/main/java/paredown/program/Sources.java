package paredown.program;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import paredown.project.Project;
import paredown.project.ProjectUnreadable;
import paredown.project.SourceFile;
import paredown.project.SourceFiles;
import paredown.text.SourceText;

/** The sources of a project: every Java file with its text, read when it is first asked for. */
public final class Sources {
  private final Project project;
  private final Map<String, SourceFile> files = new LinkedHashMap<>();
  private final Map<String, SourceText> texts = new ConcurrentHashMap<>();
  private final Map<String, Skeleton> skeletons = new ConcurrentHashMap<>();
  private final Map<String, List<String>> packages = new HashMap<>();
  private final Set<String> garbled = ConcurrentHashMap.newKeySet();
  private final List<String> passedOver;
  private final Sources before;
  private final Set<String> gone;
  private OtherFiles others;
  private SourceIndex index;

  public Sources(Project project) {
    this.project = project;
    this.before = null;
    this.gone = Set.of();
    SourceFiles found = SourceFiles.of(project);
    passedOver = found.passedOver();
    for (SourceFile file : found.files()) {
      files.put(file.path(), file);
      packages.computeIfAbsent(file.folder(), each -> new ArrayList<>()).add(file.path());
    }
  }

  private Sources(Sources before, Collection<SourceText> written, Set<String> gone) {
    this.project = before.project;
    this.before = before;
    this.passedOver = before.passedOver;
    this.gone = Set.copyOf(gone);
    files.putAll(before.files);
    files.keySet().removeAll(gone);
    before.packages.forEach((name, paths) -> packages.put(name, new ArrayList<>(paths)));
    packages.values().forEach(paths -> paths.removeAll(gone));
    for (SourceText text : written) {
      texts.put(text.path(), text);
      if (!files.containsKey(text.path())) {
        SourceFile file = before.beside(text.path());
        files.put(text.path(), file);
        packages.computeIfAbsent(file.folder(), each -> new ArrayList<>()).add(text.path());
      }
    }
  }

  /**
   * The same sources with some texts changed, some files more and some less, in memory. What did
   * not change is shared, so that it is read once.
   *
   * @param written the texts under their paths; a new one is below a source root of the project
   * @param others those of files that are not Java
   * @param gone the paths that hold no file any more
   */
  public Sources after(
      Collection<SourceText> written, Collection<SourceText> others, Set<String> gone) {
    Sources after = new Sources(this, written, gone);
    after.others = others.isEmpty() ? null : others().with(others, gone);
    return after;
  }

  /** A file that is not there yet, of the module whose source root it is below. */
  private SourceFile beside(String path) {
    Path file = project.root().resolve(path);
    return files.values().stream()
        .filter(each -> file.startsWith(each.root()))
        .max(Comparator.comparingInt(each -> each.root().getNameCount()))
        .map(near -> new SourceFile(path, file, near.root(), near.module(), near.kind()))
        .orElseThrow(() -> new IllegalArgumentException(path + " is below no source root."));
  }

  /** Whether a file is as it was in the sources that these were made from. */
  private boolean isShared(String path) {
    return before != null && !texts.containsKey(path);
  }

  public Project project() {
    return project;
  }

  public Collection<SourceFile> files() {
    return files.values();
  }

  /** The paths of all files of one kind, in order. */
  public List<String> paths(SourceFile.Kind kind) {
    return files.values().stream().filter(SourceFiles.are(kind)).map(SourceFile::path).toList();
  }

  /** Paths of what looks like a source and is none that could be read. */
  public List<String> passedOver() {
    return passedOver;
  }

  public Optional<SourceFile> file(String path) {
    return Optional.ofNullable(files.get(path));
  }

  /**
   * The text of a file.
   *
   * @throws ProjectUnreadable where it cannot be read at all
   */
  public SourceText text(String path) {
    return isShared(path) ? before.text(path) : texts.computeIfAbsent(path, this::read);
  }

  /** The skeleton of a file, read when it is first asked for. */
  Skeleton skeleton(String path) {
    return isShared(path)
        ? before.skeleton(path)
        : skeletons.computeIfAbsent(path, each -> Skeleton.of(text(each).text()));
  }

  /** The paths of the files in the folders of a package. */
  List<String> inPackage(String name) {
    return packages.getOrDefault(name, List.of());
  }

  /** The project's files that are not Java, read when they are first asked for. */
  public synchronized OtherFiles others() {
    if (others == null) {
      others = before == null ? OtherFiles.of(project) : before.others();
    }
    return others;
  }

  /** What these files declare and hold, read when it is first asked for. */
  public synchronized SourceIndex index() {
    if (index == null) {
      index =
          before == null
              ? new SourceIndex(this)
              : before.index().after(List.copyOf(texts.values()), gone);
    }
    return index;
  }

  /** Whether the bytes of a file are no text in its encoding, so that it must not be edited. */
  public boolean isGarbled(String path) {
    if (isShared(path)) {
      return before.isGarbled(path);
    }
    text(path);
    return garbled.contains(path);
  }

  private SourceText read(String path) {
    SourceFile file = files.get(path);
    try {
      byte[] content = Files.readAllBytes(file.file());
      try {
        return SourceText.decode(path, content, file.module().encoding());
      } catch (CharacterCodingException e) {
        garbled.add(path);
        return new SourceText(
            path, new String(content, file.module().encoding()), file.module().encoding());
      }
    } catch (IOException e) {
      throw new ProjectUnreadable(
          "The file " + path + " cannot be read.",
          "Check its permissions, or leave it out with exclude: in pare.yaml.",
          e);
    }
  }
}
