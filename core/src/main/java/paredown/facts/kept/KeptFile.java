package paredown.facts.kept;

import java.util.Map;
import paredown.facts.Declared;
import paredown.facts.Declared.Member;
import paredown.facts.FileFacts;

/**
 * The facts of one file as they were when it was last read.
 *
 * @param content the hash of its text
 * @param packed its types and errors
 */
record KeptFile(String file, long content, Declared declared, byte[] packed) {

  static KeptFile of(FileFacts facts, long content) {
    return new KeptFile(facts.file(), content, facts.declared(), FactsPacking.of(facts));
  }

  FileFacts facts() {
    return FactsUnpacking.of(file, declared, packed);
  }

  void pack(Packing out) {
    out.text(file).whole(content).whole(declared.frame());
    out.all(
        declared.members().entrySet(),
        each -> out.text(each.getKey().owner()).text(each.getKey().name()).whole(each.getValue()));
    out.bytes(packed);
  }

  static KeptFile from(Unpacking in) {
    String file = in.text();
    long content = in.whole();
    long frame = in.whole();
    Map<Member, Long> members = in.pairs(() -> new Member(in.text(), in.text()), in::whole);
    return new KeptFile(file, content, new Declared(frame, members), in.bytes());
  }
}
