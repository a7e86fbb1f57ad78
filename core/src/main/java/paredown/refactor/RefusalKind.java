package paredown.refactor;

/** The kind of a refusal: why an operation cannot be done here. */
public enum RefusalKind {
  NOT_A_CLASS(Mark.NOT_YET, "only the fields of a class can be extracted"),
  CONSTANT_FIELD(Mark.UNSAFE, "the compiler has copied this constant into its users"),
  SHARED_DECLARATION(Mark.NOT_YET, "it is declared together with a field that stays"),
  MAPPED_FIELD(Mark.UNSAFE, "its annotation says that something outside the code finds it by name"),
  MAPPED_CLASS(
      Mark.UNSAFE,
      "an annotation of its class, or its module, says that something outside looks at it"),
  NATIVE_CODE(Mark.UNSAFE, "its class has native methods, which may find it by name"),
  OWNER_TYPE_VARIABLE(Mark.NOT_YET, "its type depends on a type variable of its class"),
  SERIALIZED(Mark.UNSAFE, "its class is serializable, so that its fields are its stored shape"),
  CLONED(Mark.UNSAFE, "its class can be cloned, and clones would share the new object"),
  REFLECTED(Mark.UNSAFE, "a string names it where reflection is used"),
  NAMED_ELSEWHERE(Mark.UNSAFE, "a file that is not Java names it"),
  OTHER_PACKAGE(Mark.NOT_YET, "it is used from another package"),
  NESTED_TYPE(Mark.NOT_YET, "it stands within another type"),
  SHARED_FILE(Mark.NOT_YET, "its file is not its own"),
  STATIC_CONTEXT(Mark.NOT_YET, "it is reached in a way that is not understood yet"),
  INITIALISER_NEEDS_OWNER(Mark.NOT_YET, "its initialiser needs its old object"),
  INITIALISATION_ORDER(Mark.UNSAFE, "the order of initialisation would change"),
  CONSTRUCTOR_SHAPE(Mark.NOT_YET, "a constructor sets it in a way that cannot be moved yet"),
  USED_BEFORE_BUILT(Mark.UNSAFE, "it could be used before the new object is there"),
  OVERRIDES(Mark.NOT_YET, "it overrides or implements an inherited method"),
  OVERRIDDEN(Mark.NOT_YET, "it is overridden in a subclass"),
  NO_BODY(Mark.NOT_YET, "it has no body of its own"),
  LOCKED(Mark.UNSAFE, "it is synchronized on its old object"),
  NEEDS_OWNER(Mark.NOT_YET, "it needs what stays in its old class"),
  THIS_ESCAPES(Mark.NOT_YET, "it hands out its old object"),
  HIDDEN_FROM_OUTSIDE(Mark.NOT_YET, "it needs what only its old class may see"),
  NOT_ALONE(Mark.NOT_YET, "it needs what only stands around it"),
  SEVERAL_RESULTS(Mark.NOT_YET, "more than one value would have to come out of it"),
  DOES_MORE(Mark.NOT_YET, "it does more than can be put elsewhere yet"),
  DIFFERS(Mark.NOT_YET, "the classes do not say the same"),
  STILL_USED(Mark.NOT_YET, "something still uses it"),
  OBJECT_NEEDED(Mark.NOT_YET, "its object is needed as a whole"),
  TYPE_ASKED(Mark.UNSAFE, "code asks whether an object is one of its class"),
  NO_VALUE(Mark.NOT_YET, "it has no value of its own where it is declared"),
  VALUE_CHANGES(Mark.UNSAFE, "its value could be another one there"),
  RUNS_OFTEN(Mark.UNSAFE, "it would run more often than now, or less"),
  FAILS_LATER(Mark.UNSAFE, "it can fail, and would fail at another time"),
  LEAVES_EARLY(Mark.NOT_YET, "it leaves by another way than its end"),
  NAME_TAKEN(Mark.UNSAFE, "the name is taken"),
  FIXED_NAME(Mark.UNSAFE, "somebody outside the sources knows it by its name"),
  OVERLOAD_OPENED(Mark.UNSAFE, "calls elsewhere could choose what would become visible"),
  NAME_HIDDEN(Mark.UNSAFE, "the file that needs the name knows another by it, or could not"),
  SUPER_CALL(Mark.UNSAFE, "it asks its superclass for what it overrides"),
  INNER_OBJECT(Mark.NOT_YET, "it needs the object around its old one"),
  TARGET_ELSEWHERE(Mark.UNSAFE, "the target cannot take it"),
  TARGET_CHANGES(Mark.UNSAFE, "its target could be another object, or none, while it runs"),
  TARGET_SHARED(Mark.UNSAFE, "several objects could have one target, and would share it there"),
  TARGET_GENERIC(Mark.NOT_YET, "its target has type parameters"),
  MAYBE_NULL(Mark.UNSAFE, "it could be called on null, and where that shows would change"),
  OBJECT_UNKNOWN(Mark.UNSAFE, "nobody sees which object a call asks"),
  STARTED_EARLIER(
      Mark.UNSAFE, "the static parts of its target would be initialised at another time"),
  VALUE_HIDDEN(Mark.NOT_YET, "a caller cannot see a value that it would have to give"),
  CALL_ORDER(Mark.UNSAFE, "a caller's expressions would be evaluated in another order"),
  CALL_SHAPE(Mark.NOT_YET, "a caller cannot be changed yet"),
  DELEGATE_NEEDED(Mark.UNSAFE, "its old place is needed"),
  DISPATCH(Mark.UNSAFE, "objects of a class below would run another method"),
  INFERRED_TYPE(Mark.UNSAFE, "an expression would have another type"),
  ASSUMES(Mark.UNSAFE, "it rests on what no proof can give"),
  API_CHANGES(Mark.UNSAFE, "the public API would change, and was to be kept"),
  DOES_NOT_PARSE(Mark.UNSAFE, "a file that matters does not parse"),
  UNRESOLVED(Mark.UNSAFE, "names that matter cannot be resolved"),
  GARBLED(Mark.UNSAFE, "a file that matters is no text in the project's encoding"),
  GENERATED(Mark.NOT_YET, "a file that is generated or excluded would have to change"),
  SEVERAL_MODULES(Mark.NOT_YET, "its old and its new place are in different modules of the build"),
  NO_TEST_COMMAND(Mark.UNSAFE, "nobody has said how the tests are run");

  private final Mark mark;
  private final String why;

  RefusalKind(Mark mark, String why) {
    this.mark = mark;
    this.why = why;
  }

  /** Whether doing it anyway would break something, or whether it is simply not there yet. */
  public enum Mark {
    UNSAFE,
    NOT_YET
  }

  public Mark mark() {
    return mark;
  }

  /** The reason in words that follow a name and a comma. */
  public String why() {
    return why;
  }

  /** The kind as it is written in JSON: {@code used-as-lock}. */
  public String id() {
    return name().toLowerCase().replace('_', '-');
  }
}
