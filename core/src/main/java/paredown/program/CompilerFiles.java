package paredown.program;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/**
 * What a thread's compilers read classes with. Opening the archives of a class path takes as long
 * as understanding a few files, so that they stay open for the next compiler of the thread that
 * wants the same.
 */
final class CompilerFiles {
  private static final ThreadLocal<CompilerFiles> OF_THREAD =
      ThreadLocal.withInitial(CompilerFiles::new);

  private List<String> options = List.of();
  private StandardJavaFileManager files;

  private CompilerFiles() {}

  /** The files for a compiler with these options. */
  static StandardJavaFileManager with(List<String> options) {
    return OF_THREAD.get().reading(options);
  }

  private StandardJavaFileManager reading(List<String> wanted) {
    if (files == null || !options.equals(wanted)) {
      close();
      files = ToolProvider.getSystemJavaCompiler().getStandardFileManager(null, null, null);
      options = wanted;
    }
    return files;
  }

  private void close() {
    if (files != null) {
      try {
        files.close();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }
}
