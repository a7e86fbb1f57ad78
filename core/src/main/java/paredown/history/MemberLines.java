package paredown.history;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreeScanner;
import com.sun.source.util.Trees;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.net.URI;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.eclipse.jgit.lib.ObjectId;

/** Which lines of one version of a file hold which member. */
record MemberLines(List<Member> members) {
  static final MemberLines NONE = new MemberLines(List.of());

  /** A member, {@code Type#name}, and its first and last line. */
  record Member(String name, long first, long last) {}

  /** The members that have a line in a range; empty for an empty range. */
  Set<String> within(int first, int last) {
    Set<String> found = new LinkedHashSet<>();
    for (Member member : members) {
      if (member.first() <= last && first <= member.last() && first <= last) {
        found.add(member.name());
      }
    }
    return found;
  }

  /** Reads versions of files; what does not parse has the members that were understood. */
  static Map<ObjectId, MemberLines> of(
      Collection<ObjectId> versions, Function<ObjectId, String> texts) {
    Map<ObjectId, MemberLines> found = new HashMap<>();
    List<Version> batch = new ArrayList<>();
    for (ObjectId id : versions) {
      batch.add(new Version(id, texts.apply(id)));
      if (batch.size() == BATCH) {
        parse(batch, found);
        batch.clear();
      }
    }
    parse(batch, found);
    return found;
  }

  /** Trees are let go after so many files. */
  private static final int BATCH = 64;

  private static void parse(List<Version> batch, Map<ObjectId, MemberLines> found) {
    if (batch.isEmpty()) {
      return;
    }
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    DiagnosticCollector<JavaFileObject> said = new DiagnosticCollector<>();
    try (StandardJavaFileManager files = compiler.getStandardFileManager(said, null, null)) {
      JavacTask task =
          (JavacTask)
              compiler.getTask(
                  Writer.nullWriter(),
                  files,
                  said,
                  List.of("-proc:none", "-processorpath", ""),
                  null,
                  batch);
      SourcePositions positions = Trees.instance(task).getSourcePositions();
      for (CompilationUnitTree unit : task.parse()) {
        String name = unit.getSourceFile().toUri().getPath();
        Reader reader = new Reader(unit, positions);
        reader.scan(unit, null);
        found.put(Version.id(name), new MemberLines(reader.members));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Collects the members of one file. */
  private static final class Reader extends TreeScanner<Void, Void> {
    private final CompilationUnitTree unit;
    private final SourcePositions positions;
    private final Deque<String> types = new ArrayDeque<>();
    private final List<Member> members = new ArrayList<>();

    Reader(CompilationUnitTree unit, SourcePositions positions) {
      this.unit = unit;
      this.positions = positions;
    }

    @Override
    public Void visitClass(ClassTree tree, Void unused) {
      types.addLast(tree.getSimpleName().toString());
      for (var member : tree.getMembers()) {
        if (member instanceof MethodTree method) {
          String own = method.getName().toString();
          add(own.equals("<init>") ? tree.getSimpleName().toString() : own, method);
        } else if (member instanceof VariableTree field) {
          add(field.getName().toString(), field);
        } else if (member instanceof ClassTree) {
          scan(member, null);
        }
      }
      types.removeLast();
      return null;
    }

    private void add(String name, Tree tree) {
      long start = positions.getStartPosition(unit, tree);
      long end = positions.getEndPosition(unit, tree);
      if (start >= 0 && end >= start) {
        members.add(
            new Member(
                String.join(".", types) + "#" + name,
                unit.getLineMap().getLineNumber(start),
                unit.getLineMap().getLineNumber(end)));
      }
    }
  }

  /** One version of a file, as the compiler wants it. */
  private static final class Version extends SimpleJavaFileObject {
    private static final String END = ".java";

    private final String text;

    Version(ObjectId id, String text) {
      super(URI.create("version:///" + id.name() + END), Kind.SOURCE);
      this.text = text;
    }

    static ObjectId id(String path) {
      return ObjectId.fromString(path.substring(1, path.length() - END.length()));
    }

    @Override
    public CharSequence getCharContent(boolean ignoreEncodingErrors) {
      return text;
    }
  }
}
