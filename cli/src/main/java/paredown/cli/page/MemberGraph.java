package paredown.cli.page;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.eclipse.elk.alg.layered.options.LayeredMetaDataProvider;
import org.eclipse.elk.alg.layered.options.LayeredOptions;
import org.eclipse.elk.core.RecursiveGraphLayoutEngine;
import org.eclipse.elk.core.data.LayoutMetaDataService;
import org.eclipse.elk.core.math.ElkPadding;
import org.eclipse.elk.core.options.CoreOptions;
import org.eclipse.elk.core.options.Direction;
import org.eclipse.elk.core.util.BasicProgressMonitor;
import org.eclipse.elk.graph.ElkEdge;
import org.eclipse.elk.graph.ElkEdgeSection;
import org.eclipse.elk.graph.ElkNode;
import org.eclipse.elk.graph.util.ElkGraphUtil;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Grounds;

/**
 * A member graph shows the members of a class and which uses which, those of a group in one frame.
 */
public record MemberGraph(double width, double height, List<Frame> frames) {
  static final MemberGraph NONE = new MemberGraph(0, 0, List.of());
  private static final double LETTER = 7.2;
  private static final double HEIGHT = 24;
  private static final double GAP = 16;
  private static final double TITLE = 30;
  private static final double PAGE = 1080;
  private static final int MOST = 90;

  /** A group, framed, at its place. */
  public record Frame(
      int number,
      String title,
      double x,
      double y,
      double width,
      double height,
      List<Node> nodes,
      List<Line> lines) {}

  /** A member; its place counts from the frame's. */
  public record Node(String name, boolean isField, double x, double y, double width) {}

  /** From a method to what it uses. */
  public record Line(String points) {}

  public boolean isDrawn() {
    return !frames.isEmpty();
  }

  static MemberGraph of(Finding finding, Grounds grounds) {
    TypeFact type = grounds.types().get(finding.type());
    LayoutMetaDataService.getInstance()
        .registerLayoutMetaDataProviders(new LayeredMetaDataProvider());
    List<Evidence.Group> groups = finding.evidence().groups();
    if (groups.isEmpty()) {
      List<String> methods =
          finding.evidence().rows().stream()
              .map(Evidence.Row::member)
              .filter(member -> member.contains("("))
              .toList();
      groups = List.of(new Evidence.Group("", fieldsOf(finding), methods, List.of()));
    }
    int members = groups.stream().mapToInt(Evidence.Group::size).sum();
    return members == 0 || members > MOST ? NONE : packed(frames(type, groups));
  }

  private static List<String> fieldsOf(Finding finding) {
    return finding.members().stream().filter(member -> !member.contains("(")).toList();
  }

  private static List<Frame> frames(TypeFact type, List<Evidence.Group> groups) {
    List<Frame> frames = new ArrayList<>();
    Set<String> drawn = new HashSet<>();
    for (int i = 0; i < groups.size(); i++) {
      Evidence.Group group = groups.get(i);
      frames.add(frame(type, group, i + 1, drawn));
    }
    return frames;
  }

  /** Lays out one group by itself, methods to the left of what they use. */
  private static Frame frame(TypeFact type, Evidence.Group group, int number, Set<String> drawn) {
    ElkNode root = ElkGraphUtil.createGraph();
    root.setProperty(CoreOptions.ALGORITHM, LayeredOptions.ALGORITHM_ID);
    root.setProperty(CoreOptions.DIRECTION, Direction.RIGHT);
    root.setProperty(CoreOptions.SPACING_NODE_NODE, 8.0);
    root.setProperty(LayeredOptions.SPACING_NODE_NODE_BETWEEN_LAYERS, 42.0);
    root.setProperty(CoreOptions.PADDING, new ElkPadding(TITLE, 12, 12, 12));
    Map<String, ElkNode> nodes = new LinkedHashMap<>();
    List<String> members = new ArrayList<>(group.methods());
    members.addAll(group.fields());
    members.stream().filter(drawn::add).forEach(member -> nodes.put(member, node(root, member)));
    for (MethodFact method : type.methods()) {
      ElkNode from = nodes.get(method.signature());
      Set<String> used = new HashSet<>(method.fieldsOf(type.name()));
      used.addAll(method.callsOf(type.name()));
      for (String member : from == null ? Set.<String>of() : used) {
        if (nodes.containsKey(member) && nodes.get(member) != from) {
          ElkGraphUtil.createSimpleEdge(from, nodes.get(member));
        }
      }
    }
    new RecursiveGraphLayoutEngine().layout(root, new BasicProgressMonitor());
    List<Node> placed = new ArrayList<>();
    nodes.forEach(
        (member, node) ->
            placed.add(
                new Node(
                    shown(member),
                    !member.contains("("),
                    node.getX(),
                    node.getY(),
                    node.getWidth())));
    List<Line> lines = new ArrayList<>();
    for (ElkEdge edge : root.getContainedEdges()) {
      edge.getSections().forEach(section -> lines.add(new Line(points(section))));
    }
    String title =
        group.users().isEmpty() && group.name().isEmpty() ? "" : number + " " + group.name();
    double width = Math.max(root.getWidth(), title.length() * LETTER + 2 * GAP);
    return new Frame(number, title, 0, 0, width, root.getHeight(), placed, lines);
  }

  private static ElkNode node(ElkNode root, String member) {
    ElkNode node = ElkGraphUtil.createNode(root);
    node.setDimensions(shown(member).length() * LETTER + 16, HEIGHT);
    return node;
  }

  private static String shown(String member) {
    return member.replaceAll("\\(.+\\)", "(…)");
  }

  private static String points(ElkEdgeSection section) {
    StringBuilder points = new StringBuilder();
    points.append("M").append(section.getStartX()).append(' ').append(section.getStartY());
    section
        .getBendPoints()
        .forEach(p -> points.append(" L").append(p.getX()).append(' ').append(p.getY()));
    return points
        .append(" L")
        .append(section.getEndX())
        .append(' ')
        .append(section.getEndY())
        .toString();
  }

  /** Sets the frames in rows, as many as fit beside each other. */
  private static MemberGraph packed(List<Frame> frames) {
    List<Frame> placed = new ArrayList<>();
    double x = 0;
    double y = 0;
    double high = 0;
    double wide = 0;
    for (Frame frame : frames) {
      if (x > 0 && x + frame.width() > PAGE) {
        x = 0;
        y += high + GAP;
        high = 0;
      }
      placed.add(
          new Frame(
              frame.number(),
              frame.title(),
              x,
              y,
              frame.width(),
              frame.height(),
              frame.nodes(),
              frame.lines()));
      x += frame.width() + GAP;
      wide = Math.max(wide, x);
      high = Math.max(high, frame.height());
    }
    return new MemberGraph(wide, y + high, placed);
  }
}
