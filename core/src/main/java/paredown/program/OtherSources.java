package paredown.program;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javax.tools.FileObject;
import javax.tools.ForwardingJavaFileManager;
import javax.tools.JavaFileManager;
import javax.tools.JavaFileObject;
import javax.tools.JavaFileObject.Kind;
import javax.tools.SimpleJavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.StandardLocation;
import paredown.project.SourceFile;
import paredown.project.SourceFiles;

/**
 * The other sources of a project, where the compiler finds what the files that it was given need:
 * their skeletons, each under the name of every top-level type that its file declares.
 */
final class OtherSources extends ForwardingJavaFileManager<StandardJavaFileManager> {
  static final String SCHEME = "other";

  private final Sources sources;
  private final Set<String> given;
  private final boolean withTests;

  /**
   * @param given the files that the compiler gets as they are; where no test is among them, tests
   *     are not seen, as nothing else could use them
   */
  OtherSources(StandardJavaFileManager files, Sources sources, Set<String> given) {
    super(files);
    this.sources = sources;
    this.given = given;
    this.withTests = given.stream().anyMatch(this::isTest);
  }

  private boolean isTest(String file) {
    return sources.file(file).filter(SourceFiles.are(SourceFile.Kind.TEST)).isPresent();
  }

  @Override
  public boolean hasLocation(JavaFileManager.Location location) {
    return location == StandardLocation.SOURCE_PATH || super.hasLocation(location);
  }

  @Override
  public Iterable<JavaFileObject> list(
      JavaFileManager.Location location, String packageName, Set<Kind> kinds, boolean recurse)
      throws IOException {
    if (location != StandardLocation.SOURCE_PATH) {
      return super.list(location, packageName, kinds, recurse);
    }
    List<JavaFileObject> found = new ArrayList<>();
    if (kinds.contains(Kind.SOURCE)) {
      for (String file : sources.inPackage(packageName)) {
        if (!given.contains(file) && (withTests || !isTest(file))) {
          Skeleton skeleton = sources.skeleton(file);
          for (String type : skeleton.types()) {
            String name = packageName.isEmpty() ? type : packageName + "." + type;
            found.add(new Other(name, file, skeleton));
          }
        }
      }
    }
    return found;
  }

  @Override
  public String inferBinaryName(JavaFileManager.Location location, JavaFileObject file) {
    return file instanceof Other other ? other.name : super.inferBinaryName(location, file);
  }

  @Override
  public boolean isSameFile(FileObject one, FileObject other) {
    return one instanceof Other || other instanceof Other
        ? one.toUri().equals(other.toUri())
        : super.isSameFile(one, other);
  }

  /** The skeleton of a file, under the name of one of its types. */
  private static final class Other extends SimpleJavaFileObject {
    private final String name;
    private final Skeleton skeleton;

    Other(String name, String file, Skeleton skeleton) {
      super(Attribution.uri(SCHEME, file), Kind.SOURCE);
      this.name = name;
      this.skeleton = skeleton;
    }

    @Override
    public boolean isNameCompatible(String simpleName, Kind kind) {
      return true;
    }

    @Override
    public CharSequence getCharContent(boolean ignoreEncodingErrors) {
      return skeleton.text();
    }
  }
}
