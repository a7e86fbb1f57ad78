package paredown.facts.kept;

import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Modifier;
import paredown.facts.Access;
import paredown.facts.Body;
import paredown.facts.Declared;
import paredown.facts.FieldFact;
import paredown.facts.FileFacts;
import paredown.facts.Head;
import paredown.facts.LocalUse;
import paredown.facts.MethodFact;
import paredown.facts.MethodFact.MemberUse;
import paredown.facts.MethodFact.Parameter;
import paredown.facts.Question;
import paredown.facts.Range;
import paredown.facts.Span;
import paredown.facts.Traits;
import paredown.facts.TypeFact;
import paredown.facts.Wording;
import paredown.program.CompileError;

/** Takes out the facts of one file that {@link FactsPacking} packed. */
final class FactsUnpacking {
  private static final Modifier[] MODIFIERS = Modifier.values();
  private static final TypeFact.Kind[] TYPES = TypeFact.Kind.values();
  private static final MemberUse.Kind[] USES = MemberUse.Kind.values();
  private static final Access.Root.Kind[] ROOTS = Access.Root.Kind.values();
  private static final LocalUse.Kind[] LOCALS = LocalUse.Kind.values();
  private static final Traits.Outside[] OUTSIDE = Traits.Outside.values();

  private final Unpacking in;

  private FactsUnpacking(byte[] bytes) {
    this.in = new Unpacking(bytes);
  }

  static FileFacts of(String file, Declared declared, byte[] bytes) {
    FactsUnpacking unpacking = new FactsUnpacking(bytes);
    return new FileFacts(
        file, unpacking.in.all(unpacking::type), unpacking.in.all(unpacking::error), declared);
  }

  private CompileError error() {
    return new CompileError(in.text(), in.text(), in.number(), in.whole(), in.text(), in.flag());
  }

  private TypeFact type() {
    return new TypeFact(
        in.text(),
        in.one(TYPES),
        head(),
        range(),
        in.text(),
        in.set(),
        in.text(),
        in.all(this::field),
        in.all(this::method),
        body(),
        in.set(),
        in.flag());
  }

  private Head head() {
    return in.shared(
        () -> {
          Set<Modifier> modifiers = new LinkedHashSet<>(in.all(() -> in.one(MODIFIERS)));
          return new Head(modifiers, in.set(), in.set());
        });
  }

  private Range range() {
    return new Range(
        in.text(),
        new Range.Position(in.number(), in.number()),
        new Range.Position(in.number(), in.number()));
  }

  private FieldFact field() {
    return new FieldFact(in.text(), in.text(), head(), range());
  }

  private MethodFact method() {
    return new MethodFact(
        in.text(),
        in.text(),
        head(),
        in.all(() -> new Parameter(in.text(), in.text())),
        in.text(),
        in.flag(),
        in.flag(),
        in.text(),
        in.flag(),
        in.flag() ? Optional.of(access()) : Optional.empty(),
        in.flag(),
        in.flag() ? Body.NONE : body(),
        range());
  }

  private MemberUse use() {
    return in.shared(() -> new MemberUse(in.one(USES), in.text(), in.text()));
  }

  private Access access() {
    return new Access(
        use(),
        in.shared(() -> new Access.Root(in.one(ROOTS), in.text())),
        in.number(),
        in.number());
  }

  private Body body() {
    return Body.of(
        in.number(),
        in.number(),
        in.all(this::access),
        in.all(() -> new LocalUse(in.number(), in.text(), in.one(LOCALS), in.number())),
        in.all(this::span),
        traits(),
        in.whole());
  }

  private Span span() {
    int start = in.number();
    int end = start + in.number();
    int first = in.number();
    int last = first + in.number();
    return new Span(
        start,
        end,
        first,
        last,
        in.number(),
        in.number(),
        in.flag(),
        in.text(),
        in.flag(),
        new Wording(in.whole(), in.number(), in.number()));
  }

  private Traits traits() {
    return new Traits(
        in.all(
            () -> new Question(in.text(), in.text(), in.text(), in.text(), in.set(), in.number())),
        in.all(() -> new Traits.Chain(in.all(this::use), in.text(), in.number())),
        in.all(() -> new Traits.KindTest(in.text(), in.text(), in.number(), in.number())),
        in.all(() -> new Traits.Passed(in.text(), use(), in.number())),
        in.number(),
        new LinkedHashSet<>(in.all(() -> in.one(OUTSIDE))));
  }
}
