package paredown.refactor.carry;

import javax.lang.model.element.ElementKind;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;
import paredown.text.Token;

/** Where in a type a new method is put: behind its last method, or else at its end. */
public final class Landing {
  private int start;
  private int end;
  private String before;
  private String behind = "";
  private String ends = "";

  public Landing(OwnerClass target) {
    SourceText source = target.source();
    String line = Layout.of(target).lineEnd();
    int closing = target.trees().end(target.tree()) - 1;
    int lastMethod = target.lastMethod().map(method -> method.range().end()).orElse(-1);
    if (lastMethod >= 0 && lastMethod == source.lineStart(lastMethod)) {
      at(lastMethod, lastMethod, line);
      return;
    }
    int code = behindCode(source, closing);
    boolean empty = code == target.opening() + 1;
    if (lacksSemicolon(target)) {
      int last = behindLastSign(source, closing);
      boolean ownLine = source.startsLine(closing);
      at(last, ownLine ? source.lineStart(closing) : closing, line + (ownLine ? "" : line));
      ends = ";";
      behind = ownLine ? "" : source.indentAt(target.trees().start(target.tree()));
    } else if (source.startsLine(closing)) {
      int begin = source.lineStart(closing);
      at(begin, begin, empty ? "" : line);
    } else {
      at(code, closing, line + (empty ? "" : line));
      behind = source.indentAt(target.trees().start(target.tree()));
    }
  }

  private void at(int from, int to, String text) {
    start = from;
    end = to;
    before = text;
  }

  /** An enum that has nothing but constants may do without the semicolon behind them. */
  private static boolean lacksSemicolon(OwnerClass target) {
    if (target.element().getKind() != ElementKind.ENUM) {
      return false;
    }
    SourceText source = target.source();
    int depth = 0;
    for (int i = source.tokenAt(target.opening()); i < source.tokens().size(); i++) {
      Token token = source.tokens().get(i);
      char sign = source.text().charAt(token.start());
      depth += "({".indexOf(sign) >= 0 ? 1 : ")}".indexOf(sign) >= 0 ? -1 : 0;
      if (sign == ';' && depth == 1) {
        return false;
      }
      if (depth == 0) {
        return true;
      }
    }
    return true;
  }

  /** The offset behind the last token before a place, a comment being one. */
  private static int behindCode(SourceText source, int place) {
    return source.tokens().get(source.tokenAt(place) - 1).end();
  }

  /** The offset behind the last token before a place that is no comment. */
  private static int behindLastSign(SourceText source, int place) {
    int i = source.tokenAt(place) - 1;
    while (source.tokens().get(i).kind().isComment()) {
      i--;
    }
    return source.tokens().get(i).end();
  }

  /** What ends the members so far, before all that is kept within the range; mostly nothing. */
  public String ends() {
    return ends;
  }

  public int start() {
    return start;
  }

  public int end() {
    return end;
  }

  public String before() {
    return before;
  }

  public String behind() {
    return behind;
  }
}
