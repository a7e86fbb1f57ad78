package paredown.program;

/**
 * A compile error as the compiler reports it.
 *
 * @param code the compiler's key for the kind of error, the same in every language
 * @param file the project's path of the file; empty where the error has no file
 * @param offset where it is; -1 where it has no place
 * @param line counted from 1
 * @param parsing whether it was found while the text was read, before anything in it had a meaning
 */
public record CompileError(
    String code, String file, int offset, long line, String message, boolean parsing) {

  /** Whether the text could not even be read as Java, so that its tree is not to be trusted. */
  public boolean isSyntax() {
    return parsing || code.startsWith("compiler.err.class.public.should.be.in.file");
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
