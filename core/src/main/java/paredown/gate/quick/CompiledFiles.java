package paredown.gate.quick;

import java.io.IOException;
import java.io.StringWriter;
import java.net.URI;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.StandardLocation;
import javax.tools.ToolProvider;
import paredown.project.Module;
import paredown.text.SourceText;

/** Source files that are compiled into a folder, on what the build has compiled of the rest. */
final class CompiledFiles {
  private CompiledFiles() {}

  /** Whether they compile without what only the build would do. */
  static boolean into(Path folder, List<SourceText> texts, Module module, List<Path> classPath)
      throws IOException {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null)) {
      files.setLocationFromPaths(StandardLocation.CLASS_OUTPUT, List.of(folder));
      files.setLocationFromPaths(StandardLocation.CLASS_PATH, classPath);
      List<String> options =
          new ArrayList<>(List.of("-proc:none", "-nowarn", "-g", "-parameters", "-Xlint:none"));
      if (module.release() != 0 && module.release() != Runtime.version().feature()) {
        options.addAll(List.of("--release", String.valueOf(module.release())));
      }
      List<? extends JavaFileObject> sources = texts.stream().map(Text::new).toList();
      return compiler
          .getTask(new StringWriter(), files, problem -> {}, options, null, sources)
          .call();
    }
  }

  /** A source file whose text is known already. */
  private static final class Text extends SimpleJavaFileObject {
    private final String text;

    Text(SourceText source) {
      super(URI.create("string:///" + source.path().replace(' ', '_')), Kind.SOURCE);
      this.text = source.text();
    }

    @Override
    public CharSequence getCharContent(boolean ignoreEncodingErrors) {
      return text;
    }
  }
}
