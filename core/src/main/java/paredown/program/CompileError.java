package paredown.program;

/**
 * A compile error as the compiler reports it.
 *
 * @param code the compiler's key for the kind of error, the same in every language
 * @param file the project's path of the file; empty where the error has no file
 * @param offset where it is; -1 where it has no place
 * @param line counted from 1
 */
public record CompileError(String code, String file, int offset, long line, String message) {

  /** Whether the text could not even be read as Java, so that its tree is not to be trusted. */
  public boolean isSyntax() {
    return code.startsWith("compiler.err.expected")
        || code.startsWith("compiler.err.illegal.start")
        || code.startsWith("compiler.err.premature")
        || code.startsWith("compiler.err.illegal.char")
        || code.startsWith("compiler.err.not.stmt")
        || code.startsWith("compiler.err.unclosed")
        || code.startsWith("compiler.err.class.public.should.be.in.file")
        || code.startsWith("compiler.err.else.without.if")
        || code.startsWith("compiler.err.orphaned")
        || code.startsWith("compiler.err.invalid.meth.decl")
        || code.startsWith("compiler.err.variable.not.allowed");
  }

  /** Whether it says that a name means nothing the compiler can find. */
  public boolean isUnresolved() {
    return code.startsWith("compiler.err.cant.resolve")
        || code.startsWith("compiler.err.doesnt.exist");
  }

  public String place() {
    return file.isEmpty() ? "" : file + ":" + line;
  }
}
