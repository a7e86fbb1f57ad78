package paredown.facts.kept;

import java.nio.BufferUnderflowException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import paredown.facts.Declared.Member;
import paredown.facts.Drawn;
import paredown.facts.FactsReader;
import paredown.facts.FileFacts;
import paredown.facts.TypeFact;
import paredown.program.CompileError;
import paredown.program.Sources;
import paredown.project.Workspace;
import paredown.text.TextHash;
import paredown.text.WholeWord;

/**
 * The facts of a project, of which only those are read that may differ from the last time: of files
 * that changed, and of files that see something of what changed.
 *
 * <p>A change within a body is seen by nobody. A member is seen by the files that name it, and by
 * those with types below its own. What stands in the frame of a file is seen by all.
 */
public final class KeptFacts {
  private static final String NAME = "facts";
  private static final int MOST = 64 << 20;

  private final Sources sources;
  private final List<String> files;
  private final Workspace workspace;
  private final Map<String, Long> contents;
  private final String surroundings;
  private final Map<String, KeptFile> before = new HashMap<>();
  private final Map<String, FileFacts> fresh = new HashMap<>();
  private List<CompileError> elsewhere = List.of();

  private KeptFacts(Sources sources, List<String> files, Workspace workspace) {
    this.sources = sources;
    this.files = files;
    this.workspace = workspace;
    this.contents =
        files.parallelStream()
            .collect(
                Collectors.toMap(
                    Function.identity(), file -> TextHash.of(sources.text(file).text())));
    this.surroundings = Surroundings.of(sources, files);
  }

  /** The facts of these files, as far as they were kept. */
  public static KeptFacts of(Sources sources, List<String> files) {
    Workspace workspace = new Workspace(sources.project().root());
    CompletableFuture<Optional<byte[]>> kept =
        CompletableFuture.supplyAsync(() -> workspace.cached(NAME));
    KeptFacts facts = new KeptFacts(sources, files, workspace);
    kept.join().ifPresent(facts::unpack);
    return facts;
  }

  private void unpack(byte[] packed) {
    try {
      Unpacking in = new Unpacking(packed);
      if (in.text().equals(surroundings)) {
        in.all(() -> KeptFile.from(in)).forEach(file -> before.put(file.file(), file));
      }
    } catch (BufferUnderflowException | IndexOutOfBoundsException | NegativeArraySizeException e) {
      // Another version kept it in another form.
      before.clear();
    }
  }

  /** All facts, as if all files were read now. */
  public Drawn read() {
    Set<String> changed =
        files.stream().filter(file -> !isKept(file)).collect(Collectors.toCollection(HashSet::new));
    if (changed.size() == files.size()) {
      return draw(files);
    }
    List<String> same = files.stream().filter(file -> !changed.contains(file)).toList();
    CompletableFuture<List<FileFacts>> kept =
        CompletableFuture.supplyAsync(
            () -> same.parallelStream().map(file -> before.get(file).facts()).toList());
    if (!changed.isEmpty()) {
      draw(changed);
    }
    Map<String, FileFacts> all = new HashMap<>();
    kept.join().forEach(file -> all.put(file.file(), file));
    if (isFrameChanged(changed) || isBroken(all.values())) {
      return draw(files);
    }
    Set<String> seeing = seeing(changed, all.values());
    if (!seeing.isEmpty()) {
      List<CompileError> met = elsewhere;
      draw(seeing);
      elsewhere = Stream.concat(met.stream(), elsewhere.stream()).distinct().toList();
    }
    all.putAll(fresh);
    return new Drawn(files.stream().map(all::get).flatMap(Stream::ofNullable).toList(), elsewhere);
  }

  private boolean isKept(String file) {
    return before.containsKey(file) && before.get(file).content() == contents.get(file);
  }

  private Drawn draw(Collection<String> some) {
    Drawn drawn = FactsReader.read(sources, List.copyOf(some), Set.copyOf(files));
    drawn.files().forEach(file -> fresh.put(file.file(), file));
    elsewhere = drawn.elsewhere();
    return drawn;
  }

  private boolean isFrameChanged(Set<String> changed) {
    return changed.stream()
        .anyMatch(
            file ->
                !before.containsKey(file)
                    || !fresh.containsKey(file)
                    || before.get(file).declared().frame() != fresh.get(file).declared().frame());
  }

  /** Whether a file is no Java: what others see of it depends on which are read together. */
  private boolean isBroken(Collection<FileFacts> kept) {
    return Stream.concat(kept.stream(), fresh.values().stream())
        .anyMatch(file -> file.errors().stream().anyMatch(CompileError::isSyntax));
  }

  /** The files whose facts may differ although their text does not. */
  private Set<String> seeing(Set<String> changed, Collection<FileFacts> same) {
    Set<Member> members = new HashSet<>();
    changed.forEach(
        file -> members.addAll(before.get(file).declared().changed(fresh.get(file).declared())));
    if (members.isEmpty()) {
      return Set.of();
    }
    Set<String> owners = members.stream().map(Member::owner).collect(Collectors.toSet());
    Predicate<String> named =
        WholeWord.matching(
                members.stream()
                    .map(member -> Pattern.quote(member.name()))
                    .distinct()
                    .collect(Collectors.joining("|", "(?:", ")")))
            .asPredicate();
    return same.parallelStream()
        .filter(
            file -> {
              String text = sources.text(file.file()).text();
              // What is written by its code in Unicode could be any name.
              return named.test(text)
                  || text.contains("\\u")
                  || file.types().stream().anyMatch(type -> isBelow(type, owners));
            })
        .map(FileFacts::file)
        .collect(Collectors.toSet());
  }

  private static boolean isBelow(TypeFact type, Set<String> owners) {
    return type.supertypes().stream().anyMatch(owners::contains);
  }

  /** The files that {@link #read} had to read. */
  Set<String> readAgain() {
    return Set.copyOf(fresh.keySet());
  }

  /** Keeps what was read for the next time, unless it is somebody's unfinished edit. */
  public void keep() {
    if (fresh.isEmpty() || !elsewhere.isEmpty() || isBroken(List.of())) {
      return;
    }
    List<KeptFile> all =
        fresh.values().parallelStream()
            .map(file -> KeptFile.of(file, contents.get(file.file())))
            .collect(Collectors.toCollection(ArrayList::new));
    before.values().stream().filter(file -> !fresh.containsKey(file.file())).forEach(all::add);
    Packing out = new Packing();
    out.text(surroundings).all(all, file -> file.pack(out));
    byte[] packed = out.bytes();
    if (packed.length <= MOST) {
      workspace.cache(NAME, packed);
    }
  }
}
