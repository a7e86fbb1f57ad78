package paredown.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import paredown.program.Use;
import paredown.program.UseKind;

/**
 * A written piece is text that a refactoring made; its names know what they are meant to mean.
 *
 * @param proof why words of statements that were not there before keep the meaning; mostly empty
 */
public record Written(String text, List<WrittenUse> uses, String proof) implements Piece {

  public Written {
    uses = List.copyOf(uses);
  }

  /** Text with names, without words of statements. */
  public Written(String text, List<WrittenUse> uses) {
    this(text, uses, "");
  }

  /** The same with a reason for its words of statements. */
  public Written proving(String why) {
    return new Written(text, uses, why);
  }

  /** Text without names. */
  public static Written plain(String text) {
    return new Written(text, List.of());
  }

  /** Written names know what they mean, whoever the instance is. */
  @Override
  public Written as(Self self) {
    return this;
  }

  /** Begins a text with names. */
  public static Text text(String beginning) {
    return new Text().text(beginning);
  }

  /** A written piece in the making. */
  public static final class Text {
    private final StringBuilder text = new StringBuilder();
    private final List<WrittenUse> uses = new ArrayList<>();

    public Text text(String more) {
      text.append(more);
      return this;
    }

    /** A name that is meant to bind to the symbol with this key after the change. */
    public Text name(String name, String key) {
      return use(name, UseKind.NAME, new Meaning.Symbol(key), null);
    }

    /** A name that takes the place of an old use. */
    public Text name(String name, String key, Use.Place standsFor) {
      return use(name, UseKind.NAME, new Meaning.Symbol(key), standsFor);
    }

    /** A name in a Javadoc comment. */
    public Text doc(String name, String key) {
      return use(name, UseKind.DOC, new Meaning.Symbol(key), null);
    }

    /** A local variable or parameter that the change itself declares. */
    public Text local(String name) {
      return local(name, null);
    }

    /** The same in the place of an old use. */
    public Text local(String name, Use.Place standsFor) {
      return use(name, UseKind.NAME, new Meaning.Local(name), standsFor);
    }

    /** Says something else about the place where the text goes on. */
    public Text here(UseKind kind, String key) {
      return use("", kind, new Meaning.Symbol(key), null);
    }

    /** The same, in the place of an old use. */
    public Text here(UseKind kind, String key, Use.Place standsFor) {
      return use("", kind, new Meaning.Symbol(key), standsFor);
    }

    /** The same for a symbol that exists already, by the key that it had before the change. */
    public Text hereStill(UseKind kind, String key, Use.Place standsFor) {
      return use("", kind, new Meaning.Existing(key), standsFor);
    }

    /** A text with its names. */
    public Text all(Written more) {
      int base = text.length();
      text.append(more.text());
      more.uses().forEach(use -> uses.add(use.shifted(base)));
      return this;
    }

    private Text use(String name, UseKind kind, Meaning meaning, Use.Place standsFor) {
      uses.add(new WrittenUse(text.length(), kind, meaning, Optional.ofNullable(standsFor)));
      text.append(name);
      return this;
    }

    public Written done() {
      return new Written(text.toString(), uses);
    }
  }
}
