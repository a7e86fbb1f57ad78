package paredown.bench.differential;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.io.StringWriter;
import java.lang.reflect.InvocationTargetException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javax.tools.FileObject;
import javax.tools.ForwardingJavaFileManager;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileManager;
import javax.tools.JavaFileObject;
import javax.tools.JavaFileObject.Kind;
import javax.tools.SimpleJavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/** Compiles a small program with the compiler itself, runs it, and tells all that it printed. */
final class ProgramRun {
  static final String NOT_COMPILED = "does not compile";
  private static final long SECONDS = 5;

  /** What a program gets that ended before its change, on a machine that may be busy. */
  private static final long PATIENT_SECONDS = 90;

  static final String NOT_ENDED = "does not end";
  private static final ThreadLocal<StandardJavaFileManager> FILES =
      ThreadLocal.withInitial(
          () -> ToolProvider.getSystemJavaCompiler().getStandardFileManager(null, null, null));

  private ProgramRun() {}

  /** What a program says, or throws at last, or that it does not compile or end. */
  static String said(Map<String, String> files) {
    return said(files, SECONDS);
  }

  /** The same of a program that is expected to end. */
  static String saidInTheEnd(Map<String, String> files) {
    return said(files, PATIENT_SECONDS);
  }

  private static String said(Map<String, String> files, long seconds) {
    Map<String, byte[]> classes = compiled(files);
    return classes == null ? NOT_COMPILED : run(classes, seconds);
  }

  private static Map<String, byte[]> compiled(Map<String, String> files) {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    Map<String, byte[]> classes = new HashMap<>();
    List<Text> texts =
        files.entrySet().stream()
            .filter(file -> file.getKey().endsWith(".java"))
            .map(file -> new Text(file.getKey(), file.getValue()))
            .toList();
    boolean done =
        compiler
            .getTask(
                new StringWriter(),
                new InMemory(FILES.get(), classes),
                null,
                List.of("-proc:none", "-nowarn", "-processorpath", ""),
                null,
                texts)
            .call();
    return done ? classes : null;
  }

  private static String run(Map<String, byte[]> classes, long seconds) {
    ByteArrayOutputStream printed = new ByteArrayOutputStream();
    PrintStream out = System.out;
    ExecutorService thread =
        Executors.newSingleThreadExecutor(
            task -> {
              Thread made = new Thread(null, task, "program", 1 << 20);
              made.setDaemon(true);
              return made;
            });
    System.setOut(new PrintStream(printed, true, StandardCharsets.UTF_8));
    try {
      Future<String> end = thread.submit(() -> main(classes));
      String thrown = end.get(seconds, TimeUnit.SECONDS);
      return printed.toString(StandardCharsets.UTF_8).strip() + thrown;
    } catch (TimeoutException e) {
      return NOT_ENDED;
    } catch (ExecutionException withoutMain) {
      return NOT_COMPILED;
    } catch (Exception e) {
      throw new IllegalStateException(e);
    } finally {
      System.setOut(out);
      thread.shutdownNow();
    }
  }

  private static String main(Map<String, byte[]> classes) throws ReflectiveOperationException {
    ClassLoader loader =
        new ClassLoader(ClassLoader.getPlatformClassLoader()) {
          @Override
          protected Class<?> findClass(String name) throws ClassNotFoundException {
            byte[] code = classes.get(name);
            if (code == null) {
              throw new ClassNotFoundException(name);
            }
            return defineClass(name, code, 0, code.length);
          }
        };
    try {
      var main = loader.loadClass("Main").getDeclaredMethod("main", String[].class);
      main.setAccessible(true);
      main.invoke(null, (Object) new String[0]);
      return "";
    } catch (InvocationTargetException e) {
      return " / " + e.getCause().getClass().getSimpleName();
    }
  }

  private static final class Text extends SimpleJavaFileObject {
    private final String text;

    Text(String name, String text) {
      super(URI.create("string:///" + name), Kind.SOURCE);
      this.text = text;
    }

    @Override
    public CharSequence getCharContent(boolean ignoreEncodingErrors) {
      return text;
    }
  }

  private static final class InMemory extends ForwardingJavaFileManager<StandardJavaFileManager> {
    private final Map<String, byte[]> classes;

    InMemory(StandardJavaFileManager files, Map<String, byte[]> classes) {
      super(files);
      this.classes = classes;
    }

    @Override
    public JavaFileObject getJavaFileForOutput(
        JavaFileManager.Location location, String name, Kind kind, FileObject sibling) {
      return new SimpleJavaFileObject(URI.create("mem:///" + name.replace('.', '/')), kind) {
        @Override
        public OutputStream openOutputStream() {
          return new ByteArrayOutputStream() {
            @Override
            public void close() throws IOException {
              classes.put(name, toByteArray());
            }
          };
        }
      };
    }
  }
}
