package paredown.text;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;

class SourceTextTest {
  private final SourceText source =
      new SourceText("A.java", "one\r\n\ttwo x\r\nthree", StandardCharsets.UTF_8);

  @Test
  void countsLinesAndColumnsFromOne() {
    assertEquals(1, source.line(0));
    assertEquals(2, source.line(source.text().indexOf("two")));
    assertEquals(2, source.column(source.text().indexOf("two")));
    assertEquals("A.java:3", source.place(source.length()));
  }

  @Test
  void endsALineAtAFeedACarriageReturnOrBoth() {
    SourceText mixed = new SourceText("A.java", "1\r2\n3\r\n4\n\r6\r", StandardCharsets.UTF_8);
    for (String digit : List.of("1", "2", "3", "4", "6")) {
      assertEquals(Integer.parseInt(digit), mixed.line(mixed.text().indexOf(digit)));
    }
    assertEquals(7, mixed.line(mixed.length()));
  }

  @Test
  void readsASignThatStandsForUnreadableBytesWhereItIsWritten() throws CharacterCodingException {
    byte[] bytes = "// \uFFFD".getBytes(StandardCharsets.UTF_8);
    assertEquals("// \uFFFD", SourceText.decode("A.java", bytes, StandardCharsets.UTF_8).text());
  }

  @Test
  void knowsTheLineEndThatTheFileUses() {
    assertEquals("\r\n", source.lineEnd());
    assertEquals("\n", new SourceText("B.java", "", StandardCharsets.UTF_8).lineEnd());
  }

  @Test
  void givesALineWithoutItsEnd() {
    assertEquals("\ttwo x", source.lineText(2));
    assertEquals("\t", source.indentAt(source.text().indexOf("x")));
    assertTrue(source.startsLine(source.text().indexOf("two")));
    assertFalse(source.startsLine(source.text().indexOf("x")));
  }

  @Test
  void findsNamesAsWholeWordsOnly() {
    assertEquals(source.text().indexOf("x"), source.findName("x", 0, source.length()));
    assertEquals(-1, source.findName("hre", 0, source.length()));
  }

  @Test
  void keepsTheBytesOfOtherEncodings() throws CharacterCodingException {
    byte[] bytes = "// F\u00e4hre\n".getBytes(StandardCharsets.ISO_8859_1);
    SourceText text = SourceText.decode("A.java", bytes, StandardCharsets.ISO_8859_1);
    assertArrayEquals(bytes, text.encode(text.text()));
  }

  @Test
  void refusesBytesThatAreNoText() {
    assertThrows(
        CharacterCodingException.class,
        () -> SourceText.decode("A.java", new byte[] {(byte) 0xe4}, StandardCharsets.UTF_8));
  }
}
