package paredown.facts.kept;

import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;

/** Takes out again, in the same order, what {@link Packing} packed. */
final class Unpacking {
  private final ByteBuffer bytes;
  private final List<Object> known = new ArrayList<>();

  Unpacking(byte[] bytes) {
    this.bytes = ByteBuffer.wrap(bytes);
  }

  int number() {
    long rest = 0;
    int shift = 0;
    byte next;
    do {
      next = bytes.get();
      rest |= (long) (next & 0x7F) << shift;
      shift += 7;
    } while (next < 0);
    return (int) (rest >>> 1) ^ -(int) (rest & 1);
  }

  long whole() {
    return bytes.getLong();
  }

  boolean flag() {
    return bytes.get() != 0;
  }

  <T extends Enum<T>> T one(T[] constants) {
    return constants[number()];
  }

  String text() {
    return shared(
        () -> {
          char[] signs = new char[number()];
          for (int i = 0; i < signs.length; i++) {
            signs[i] = (char) number();
          }
          return new String(signs);
        });
  }

  List<String> texts() {
    return all(this::text);
  }

  Set<String> set() {
    return new LinkedHashSet<>(texts());
  }

  <T> List<T> all(Supplier<T> each) {
    int size = number();
    List<T> elements = new ArrayList<>(size);
    for (int i = 0; i < size; i++) {
      elements.add(each.get());
    }
    return elements;
  }

  <K, V> Map<K, V> pairs(Supplier<K> key, Supplier<V> value) {
    int size = number();
    Map<K, V> pairs = new HashMap<>(size * 2);
    for (int i = 0; i < size; i++) {
      pairs.put(key.get(), value.get());
    }
    return pairs;
  }

  byte[] bytes() {
    byte[] some = new byte[number()];
    bytes.get(some);
    return some;
  }

  @SuppressWarnings("unchecked") // what was packed under a number is taken out as what it was
  <T> T shared(Supplier<T> first) {
    int at = number();
    if (at >= 0) {
      return (T) known.get(at);
    }
    T value = first.get();
    known.add(value);
    return value;
  }
}
