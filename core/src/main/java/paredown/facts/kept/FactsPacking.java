package paredown.facts.kept;

import java.util.Optional;
import paredown.facts.Access;
import paredown.facts.Body;
import paredown.facts.FieldFact;
import paredown.facts.FileFacts;
import paredown.facts.Head;
import paredown.facts.LocalUse;
import paredown.facts.MethodFact;
import paredown.facts.MethodFact.MemberUse;
import paredown.facts.Range;
import paredown.facts.Span;
import paredown.facts.Traits;
import paredown.facts.TypeFact;
import paredown.program.CompileError;

/** Packs the facts of one file. */
final class FactsPacking {
  private final Packing out = new Packing();

  private FactsPacking() {}

  static byte[] of(FileFacts facts) {
    FactsPacking packing = new FactsPacking();
    packing.out.all(facts.types(), packing::type).all(facts.errors(), packing::error);
    return packing.out.bytes();
  }

  private void error(CompileError error) {
    out.text(error.code()).text(error.file()).number(error.offset()).whole(error.line());
    out.text(error.message()).flag(error.parsing());
  }

  private void type(TypeFact type) {
    out.text(type.name()).one(type.kind());
    head(type.head());
    range(type.range());
    out.text(type.superclass()).texts(type.supertypes()).text(type.outer());
    out.all(type.fields(), this::field).all(type.methods(), this::method);
    body(type.initialising());
    out.texts(type.mentions()).flag(type.hasErrors());
  }

  private void head(Head head) {
    out.shared(
        head,
        each -> {
          out.all(each.modifiers(), out::one);
          out.texts(each.annotations()).texts(each.living());
        });
  }

  private void range(Range range) {
    out.text(range.file());
    out.number(range.start().line()).number(range.start().column());
    out.number(range.end().line()).number(range.end().column());
  }

  private void field(FieldFact field) {
    out.text(field.name()).text(field.type());
    head(field.head());
    range(field.range());
  }

  private void method(MethodFact method) {
    out.text(method.name()).text(method.signature());
    head(method.head());
    out.all(method.parameters(), each -> out.text(each.name()).text(each.type()));
    out.text(method.result()).flag(method.isConstructor()).flag(method.overrides());
    out.text(method.returned()).flag(method.assigns());
    Optional<Access> forwards = method.forwards();
    out.flag(forwards.isPresent());
    forwards.ifPresent(this::access);
    out.flag(method.passesUp()).flag(method.isAbstract());
    if (!method.isAbstract()) {
      body(method.body());
    }
    range(method.range());
  }

  private void use(MemberUse use) {
    out.shared(use, each -> out.one(each.kind()).text(each.type()).text(each.member()));
  }

  private void access(Access access) {
    use(access.use());
    out.shared(access.root(), each -> out.one(each.kind()).text(each.name()));
    out.number(access.line()).number(access.offset());
  }

  private void body(Body body) {
    out.number(body.branches()).number(body.statements());
    out.all(body.accesses(), this::access).all(body.locals(), this::local);
    out.all(body.spans(), this::span);
    traits(body.traits());
    out.whole(body.shape());
  }

  private void local(LocalUse use) {
    out.number(use.variable()).text(use.name()).one(use.kind()).number(use.offset());
  }

  private void span(Span span) {
    out.number(span.start()).number(span.end() - span.start());
    out.number(span.firstLine()).number(span.lastLine() - span.firstLine());
    out.number(span.depth()).number(span.block()).flag(span.jumps());
    out.text(span.comment()).flag(span.paragraph()).whole(span.wording().hash());
    out.number(span.wording().words()).number(span.wording().names());
  }

  private void traits(Traits traits) {
    out.all(
        traits.questions(),
        each ->
            out.text(each.type())
                .text(each.text())
                .text(each.form())
                .text(each.given())
                .texts(each.members())
                .number(each.line()));
    out.all(
        traits.chains(),
        each -> out.all(each.links(), this::use).text(each.text()).number(each.line()));
    out.all(
        traits.kindTests(),
        each -> out.text(each.type()).text(each.root()).number(each.cases()).number(each.line()));
    out.all(
        traits.passed(),
        each -> {
          out.text(each.variable());
          use(each.to());
          out.number(each.index());
        });
    out.number(traits.texts()).all(traits.outside(), out::one);
  }
}
