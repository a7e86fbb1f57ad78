package paredown.text;

import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.util.Arrays;
import java.util.List;

/** A source text is the content of one Java file, with its lines and its tokens. */
public final class SourceText {
  /** What stands for bytes that are no text, where a text is decoded without looking for them. */
  private static final char UNREADABLE = '\uFFFD';

  private final String path;
  private final String text;
  private final Charset charset;
  private int[] lineStarts;
  private List<Token> tokens;

  /**
   * @param path where the file is, relative to the project's root, with forward slashes
   * @param charset how it is encoded on the disk
   */
  public SourceText(String path, String text, Charset charset) {
    this.path = path;
    this.text = text;
    this.charset = charset;
  }

  /**
   * Reads a file's bytes.
   *
   * @throws CharacterCodingException where the bytes are no text in this encoding
   */
  public static SourceText decode(String path, byte[] bytes, Charset charset)
      throws CharacterCodingException {
    String text = new String(bytes, charset);
    if (text.indexOf(UNREADABLE) >= 0) {
      CharBuffer decoded = charset.newDecoder().decode(ByteBuffer.wrap(bytes));
      text = decoded.toString();
    }
    return new SourceText(path, text, charset);
  }

  /** The bytes of a text in this file's encoding. */
  public byte[] encode(String changed) throws CharacterCodingException {
    ByteBuffer encoded = charset.newEncoder().encode(CharBuffer.wrap(changed));
    return Arrays.copyOfRange(encoded.array(), encoded.arrayOffset(), encoded.limit());
  }

  public String path() {
    return path;
  }

  public String text() {
    return text;
  }

  public Charset charset() {
    return charset;
  }

  public int length() {
    return text.length();
  }

  public String slice(int start, int end) {
    return text.substring(start, end);
  }

  public synchronized List<Token> tokens() {
    if (tokens == null) {
      tokens = List.copyOf(Lexer.tokens(text));
    }
    return tokens;
  }

  /** Whether a dot is the last token of code before an offset. */
  public boolean isBehindDot(int offset) {
    for (int i = tokenAt(offset) - 1; i >= 0; i--) {
      Token token = tokens().get(i);
      if (!token.kind().isComment()) {
        return text.charAt(token.start()) == '.';
      }
    }
    return false;
  }

  /** The tokens that start within a range, comments among them. */
  public List<Token> tokens(int from, int to) {
    return tokens().subList(tokenAt(from), tokenAt(to));
  }

  /** The index of the first token that starts at or behind an offset. */
  public int tokenAt(int offset) {
    List<Token> all = tokens();
    int low = 0;
    int high = all.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (all.get(middle).start() < offset) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** The first token that is no comment and starts at or behind an offset; null where none does. */
  public Token codeTokenFrom(int offset) {
    List<Token> all = tokens();
    for (int i = tokenAt(offset); i < all.size(); i++) {
      if (!all.get(i).kind().isComment()) {
        return all.get(i);
      }
    }
    return null;
  }

  /** The offset of the identifier token that spells a name within a range, or -1. */
  public int findName(String name, int from, int to) {
    List<Token> all = tokens();
    for (int i = tokenAt(from); i < all.size() && all.get(i).start() < to; i++) {
      Token token = all.get(i);
      if (token.isIdentifier() && spells(token, name)) {
        return token.start();
      }
    }
    return -1;
  }

  public boolean spells(Token token, String word) {
    return token.end() - token.start() == word.length() && text.startsWith(word, token.start());
  }

  /** The line of an offset, counted from 1. */
  public int line(int offset) {
    int found = Arrays.binarySearch(starts(), offset);
    return found >= 0 ? found + 1 : -found - 1;
  }

  /** The column of an offset, counted from 1 in characters. */
  public int column(int offset) {
    return offset - lineStart(offset) + 1;
  }

  /** The offset at which the line of an offset begins. */
  public int lineStart(int offset) {
    return starts()[line(offset) - 1];
  }

  /** The offset behind the line of an offset, its line end included. */
  public int nextLine(int offset) {
    int line = line(offset);
    return line < starts().length ? starts()[line] : text.length();
  }

  /** The offset at which a line begins, counted from 1. */
  public int lineOffset(int line) {
    return starts()[line - 1];
  }

  /** The text of a line, counted from 1, without its line end. */
  public String lineText(int line) {
    int start = starts()[line - 1];
    int end = line < starts().length ? starts()[line] : text.length();
    while (end > start && (text.charAt(end - 1) == '\n' || text.charAt(end - 1) == '\r')) {
      end--;
    }
    return text.substring(start, end);
  }

  /** The white space with which the line of an offset begins. */
  public String indentAt(int offset) {
    int start = lineStart(offset);
    int end = start;
    while (end < text.length() && (text.charAt(end) == ' ' || text.charAt(end) == '\t')) {
      end++;
    }
    return text.substring(start, end);
  }

  /** Whether only white space stands between an offset and the beginning of its line. */
  public boolean startsLine(int offset) {
    return text.substring(lineStart(offset), offset).isBlank();
  }

  /** Whether only white space stands between an offset and the end of its line. */
  public boolean endsLine(int offset) {
    return text.substring(offset, nextLine(Math.min(offset, text.length()))).isBlank();
  }

  /** The line end that this file uses most, a line feed where it has none. */
  public String lineEnd() {
    int pairs = 0;
    int feeds = 0;
    for (int i = 0; i < text.length(); i++) {
      if (text.charAt(i) == '\n') {
        if (i > 0 && text.charAt(i - 1) == '\r') {
          pairs++;
        } else {
          feeds++;
        }
      }
    }
    return pairs > feeds ? "\r\n" : "\n";
  }

  /** A place as a person writes it: {@code path:line}. */
  public String place(int offset) {
    return path + ":" + line(offset);
  }

  private synchronized int[] starts() {
    if (lineStarts == null) {
      int[] found = new int[16];
      int count = 1;
      int feed = text.indexOf('\n');
      int carriage = text.indexOf('\r');
      while (feed >= 0 || carriage >= 0) {
        boolean isFeed = carriage < 0 || feed >= 0 && feed <= carriage + 1;
        int end = (isFeed ? feed : carriage) + 1;
        if (count == found.length) {
          found = Arrays.copyOf(found, count * 2);
        }
        found[count++] = end;
        feed = feed < 0 || feed >= end ? feed : text.indexOf('\n', end);
        carriage = carriage < 0 || carriage >= end ? carriage : text.indexOf('\r', end);
      }
      lineStarts = Arrays.copyOf(found, count);
    }
    return lineStarts;
  }
}
