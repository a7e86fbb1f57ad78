package paredown.cli.show;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Set;

/**
 * Shows what a terminal would obey, or would use to hide something: control characters, and those
 * that turn the direction of writing. Each is spelt as in Java, {@code \}{@code u001b}.
 */
public final class Visible {
  /** The only codes that may reach a terminal, all of them our own. */
  private static final Set<String> STYLES = Set.of("1", "2", "0", "31", "32", "36");

  private static final int ESCAPE = 0x1b;

  private Visible() {}

  /**
   * A text as it may be printed.
   *
   * @param styles whether our own codes for bold and colour stay
   */
  public static String text(String text, boolean styles) {
    StringBuilder shown = null;
    for (int i = 0; i < text.length(); i++) {
      char sign = text.charAt(i);
      int style = styles && sign == ESCAPE ? endOfStyle(text, i) : i;
      if (style > i) {
        if (shown != null) {
          shown.append(text, i, style);
        }
        i = style - 1;
      } else if (obeyed(sign) && !(sign == '\r' && text.startsWith("\n", i + 1))) {
        shown = shown == null ? new StringBuilder(text.substring(0, i)) : shown;
        shown.append("\\u%04x".formatted((int) sign));
      } else if (shown != null) {
        shown.append(sign);
      }
    }
    return shown == null ? text : shown.toString();
  }

  /** Where a code of ours ends that begins here; the same place where none does. */
  private static int endOfStyle(String text, int at) {
    int end = text.indexOf('m', at);
    boolean ours =
        end > at + 2
            && end <= at + 5
            && text.charAt(at + 1) == '['
            && STYLES.contains(text.substring(at + 2, end));
    return ours ? end + 1 : at;
  }

  private static boolean obeyed(char sign) {
    boolean control = sign < ' ' && sign != '\n' && sign != '\t' || sign >= 0x7f && sign <= 0x9f;
    boolean turns =
        sign >= '\u202a' && sign <= '\u202e'
            || sign >= '\u2066' && sign <= '\u2069'
            || sign == '\u200e'
            || sign == '\u200f'
            || sign == '\u061c'
            || sign == '\u2028'
            || sign == '\u2029';
    return control || turns;
  }

  /** The same for text in any encoding that extends ASCII, in which UTF-8 may or may not be. */
  public static byte[] bytes(byte[] text, boolean styles) {
    ByteArrayOutputStream shown = new ByteArrayOutputStream(text.length);
    int at = 0;
    while (at < text.length) {
      int length = Math.min(sequence(text[at]), text.length - at);
      String one = new String(text, at, length, StandardCharsets.UTF_8);
      if (one.indexOf('\ufffd') >= 0) {
        // No UTF-8, so that a terminal does not read it as a sign to obey.
        shown.write(text[at] & 0xff);
        at++;
        continue;
      }
      int end = at + length;
      if (one.charAt(0) == ESCAPE || one.charAt(0) == '\r') {
        // What decides about these stands behind them.
        end = Math.min(text.length, at + (one.charAt(0) == '\r' ? 2 : 5));
        String ahead = new String(text, at, end - at, StandardCharsets.ISO_8859_1);
        int style = styles && one.charAt(0) == ESCAPE ? endOfStyle(ahead, 0) : 0;
        boolean lineEnd = ahead.equals("\r\n");
        end = at + Math.max(1, lineEnd ? 2 : style);
        one = new String(text, at, end - at, StandardCharsets.ISO_8859_1);
      }
      shown.writeBytes(text(one, styles).getBytes(StandardCharsets.UTF_8));
      at = end;
    }
    return shown.toByteArray();
  }

  /** How many bytes a sign takes that begins with this one. */
  private static int sequence(byte first) {
    int bits = first & 0xff;
    return bits < 0xc0 ? 1 : bits < 0xe0 ? 2 : bits < 0xf0 ? 3 : 4;
  }
}
