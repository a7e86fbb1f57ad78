package paredown.facts.kept;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Consumer;

/** Packs values into bytes; what comes twice is written once. */
final class Packing {
  private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
  private final DataOutputStream out = new DataOutputStream(bytes);
  private final Map<Object, Integer> known = new HashMap<>();

  byte[] bytes() {
    return bytes.toByteArray();
  }

  /** A number; the nearer to 0, the shorter. */
  Packing number(int number) {
    long rest = (number << 1 ^ number >> 31) & 0xFFFFFFFFL;
    while (rest >= 0x80) {
      bytes.write((int) (rest & 0x7F | 0x80));
      rest >>>= 7;
    }
    bytes.write((int) rest);
    return this;
  }

  Packing whole(long number) {
    try {
      out.writeLong(number);
    } catch (IOException never) {
      throw new UncheckedIOException(never);
    }
    return this;
  }

  Packing flag(boolean flag) {
    bytes.write(flag ? 1 : 0);
    return this;
  }

  Packing one(Enum<?> constant) {
    return number(constant.ordinal());
  }

  Packing text(String text) {
    return shared(
        text,
        each -> {
          number(each.length());
          each.chars().forEach(this::number);
        });
  }

  Packing texts(Collection<String> texts) {
    return all(texts, this::text);
  }

  <T> Packing all(Collection<T> elements, Consumer<T> each) {
    number(elements.size());
    elements.forEach(each);
    return this;
  }

  Packing bytes(byte[] some) {
    number(some.length);
    bytes.writeBytes(some);
    return this;
  }

  /** A value that is often the same: the first time as it is, then by its number. */
  <T> Packing shared(T value, Consumer<T> first) {
    Integer at = known.get(value);
    if (at != null) {
      return number(at);
    }
    number(-1);
    first.accept(value);
    known.put(value, known.size());
    return this;
  }
}
