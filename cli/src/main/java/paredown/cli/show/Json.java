package paredown.cli.show;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Collection;
import paredown.facts.Range;

/** JSON answers: each one object that names its schema. */
public final class Json {
  private static final ObjectMapper MAPPER =
      new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

  private Json() {}

  /** An answer of a schema, {@code pare-findings/1}. */
  public static ObjectNode answer(String schema) {
    return MAPPER.createObjectNode().put("schema", schema);
  }

  public static ArrayNode texts(ObjectNode parent, String name, Collection<String> values) {
    ArrayNode array = parent.putArray(name);
    values.forEach(array::add);
    return array;
  }

  public static void range(ObjectNode parent, Range range) {
    parent.put("file", range.file());
    parent
        .putObject("start")
        .put("line", range.start().line())
        .put("column", range.start().column());
    parent.putObject("end").put("line", range.end().line()).put("column", range.end().column());
  }

  public static String text(ObjectNode json) {
    try {
      return MAPPER.writeValueAsString(json) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a tree of plain values can always be written", e);
    }
  }
}
