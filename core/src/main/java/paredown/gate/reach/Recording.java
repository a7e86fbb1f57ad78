package paredown.gate.reach;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.constant.ClassDesc;
import java.lang.constant.MethodTypeDesc;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jacoco.agent.AgentJar;
import org.jacoco.core.analysis.Analyzer;
import org.jacoco.core.analysis.CoverageBuilder;
import org.jacoco.core.analysis.IClassCoverage;
import org.jacoco.core.analysis.IMethodCoverage;
import org.jacoco.core.data.ExecutionData;
import org.jacoco.core.data.ExecutionDataReader;
import org.jacoco.core.data.ExecutionDataStore;
import org.jacoco.core.data.IExecutionDataVisitor;
import org.jacoco.core.data.ISessionInfoVisitor;
import org.jacoco.core.data.SessionInfo;
import paredown.gate.ProjectTests;
import paredown.gate.TemporaryFolder;
import paredown.gate.TestResult;
import paredown.gate.TestRun;
import paredown.program.Sources;
import paredown.project.SourceFile;
import paredown.text.TextHash;

/**
 * A recording runs all tests and notes which code they reach, by the agent of a library that counts
 * what runs.
 *
 * @param run what became of the tests
 * @param reach what they reached
 */
public record Recording(TestRun run, Reach reach) {
  /** What every process of Java finds in its environment as options. */
  private static final String OPTIONS = "JAVA_TOOL_OPTIONS";

  /**
   * Runs the tests of a project, each class of them in a process of its own.
   *
   * @throws paredown.gate.TestProblem where they do not compile, do not start, or take too long
   */
  public static Recording of(ProjectTests tests, Sources sources) throws InterruptedException {
    try (TemporaryFolder temporary = TemporaryFolder.named("pare-reach")) {
      Path folder = temporary.path();
      Path agent = folder.resolve("agent.jar");
      AgentJar.extractTo(agent.toFile());
      String options =
          "-javaagent:%s=destfile=%s,classdumpdir=%s,includes=%s"
              .formatted(agent, folder.resolve("ran"), folder.resolve("classes"), names(sources));
      String own = System.getenv().getOrDefault(OPTIONS, "");
      TestRun run = tests.apart(Map.of(OPTIONS, (own + " " + options).strip()));
      return new Recording(run, new Ran(folder, sources, testClasses(run)).reach());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Set<String> testClasses(TestRun run) {
    Set<String> names = new TreeSet<>();
    for (TestResult result : run.results()) {
      names.add(result.name().replaceAll("[#$].*", "").replace('.', '/'));
    }
    return names;
  }

  /** The packages of the sources, as the agent wants them; all where some have none. */
  private static String names(Sources sources) {
    boolean plain =
        sources.files().stream().anyMatch(file -> sources.index().packageOf(file.path()).isEmpty());
    return plain ? "*" : packages(sources);
  }

  private static String packages(Sources sources) {
    return sources.files().stream()
        .map(file -> sources.index().packageOf(file.path()))
        .filter(name -> !name.isEmpty())
        .distinct()
        .map(name -> name + ".*")
        .collect(Collectors.joining(":"));
  }

  /** What ran, process by process. */
  private static final class Ran implements ISessionInfoVisitor, IExecutionDataVisitor {
    private final Path folder;
    private final Sources sources;
    private final Set<String> testClasses;
    private final List<ExecutionDataStore> processes = new ArrayList<>();
    private final Map<String, Map<String, Reach.Reached>> found = new TreeMap<>();

    Ran(Path folder, Sources sources, Set<String> testClasses) throws IOException {
      this.folder = folder;
      this.sources = sources;
      this.testClasses = testClasses;
      if (Files.exists(folder.resolve("ran"))) {
        try (InputStream in = Files.newInputStream(folder.resolve("ran"))) {
          ExecutionDataReader reader = new ExecutionDataReader(in);
          reader.setSessionInfoVisitor(this);
          reader.setExecutionDataVisitor(this);
          reader.read();
        }
      }
    }

    @Override
    public void visitSessionInfo(SessionInfo begun) {
      processes.add(new ExecutionDataStore());
    }

    @Override
    public void visitClassExecution(ExecutionData data) {
      processes.get(processes.size() - 1).put(data);
    }

    Reach reach() throws IOException {
      Map<String, String> paths = new TreeMap<>();
      for (String path : sources.paths(SourceFile.Kind.MAIN)) {
        String name = path.substring(path.lastIndexOf('/') + 1);
        paths.put(sources.index().packageOf(path).replace('.', '/') + "/" + name, path);
        found.put(path, new TreeMap<>());
      }
      for (ExecutionDataStore process : processes) {
        add(process, paths);
      }
      Map<String, Reach.ReachedFile> files = new TreeMap<>();
      found.forEach(
          (path, methods) ->
              files.put(
                  path,
                  new Reach.ReachedFile(
                      TextHash.of(sources.text(path).text()), List.copyOf(methods.values()))));
      return new Reach(files);
    }

    private void add(ExecutionDataStore process, Map<String, String> paths) throws IOException {
      Set<String> tests = new TreeSet<>();
      for (ExecutionData each : process.getContents()) {
        if (each.hasHits() && testClasses.contains(each.getName().replaceAll("\\$.*", ""))) {
          tests.add(each.getName().replaceAll(".*/|\\$.*", ""));
        }
      }
      CoverageBuilder classes = new CoverageBuilder();
      Analyzer analyzer = new Analyzer(process, classes);
      for (ExecutionData each : process.getContents()) {
        Path dumped =
            folder.resolve("classes/%s.%016x.class".formatted(each.getName(), each.getId()));
        if (Files.exists(dumped)) {
          byte[] bytes = Files.readAllBytes(dumped);
          analyzer.analyzeAll(new ByteArrayInputStream(bytes), each.getName());
        }
      }
      for (IClassCoverage type : classes.getClasses()) {
        String path = paths.get(type.getPackageName() + "/" + type.getSourceFileName());
        if (path != null) {
          type.getMethods().forEach(method -> add(found.get(path), type, method, tests));
        }
      }
    }

    private static void add(
        Map<String, Reach.Reached> methods,
        IClassCoverage type,
        IMethodCoverage method,
        Set<String> tests) {
      String simple = type.getName().replaceAll(".*[/$]", "");
      boolean written =
          !method.getName().startsWith("<cl")
              && !method.getName().contains("$")
              && method.getFirstLine() > 0
              && !simple.matches("\\d.*");
      if (written) {
        String name =
            (method.getName().equals("<init>") ? simple : method.getName())
                + MethodTypeDesc.ofDescriptor(method.getDesc()).parameterList().stream()
                    .map(ClassDesc::displayName)
                    .map(each -> each.replaceAll(".*\\$", ""))
                    .collect(Collectors.joining(", ", "(", ")"));
        Set<String> all = new TreeSet<>();
        if (method.getInstructionCounter().getCoveredCount() > 0) {
          all.addAll(tests);
        }
        String key = "%06d %s".formatted(method.getFirstLine(), name);
        if (methods.containsKey(key)) {
          all.addAll(methods.get(key).tests());
        }
        methods.put(
            key,
            new Reach.Reached(
                simple + "#" + name, method.getFirstLine(), method.getLastLine(), all));
      }
    }
  }
}
