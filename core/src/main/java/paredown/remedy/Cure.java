package paredown.remedy;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.operation.builder.ExtractBuilder;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractclass.ExtractGroups;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.operation.extractmethod.ExtractPieces;
import paredown.refactor.operation.extractmethod.ExtractStages;
import paredown.refactor.operation.inlineclass.InlineClass;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.operation.parameterfield.MoveParameter;
import paredown.refactor.operation.parameterobject.ExtractParameterObject;
import paredown.refactor.operation.remove.RemoveClass;
import paredown.refactor.operation.remove.RemoveMember;
import paredown.refactor.operation.several.Several;
import paredown.refactor.operation.superclass.ExtractSuperclass;

/** A cure is what a candidate would do: a refactoring with its arguments. */
public sealed interface Cure {

  Refactoring refactoring();

  /** The command that asks for it, as it is typed. */
  default String command() {
    return refactoring().command();
  }

  /** What it does, in words: {@code move method fits to Berth}. */
  default String says() {
    return refactoring().says();
  }

  /** The same, with another name for what it makes; itself where it makes nothing with a name. */
  default Cure named(String name) {
    return this;
  }

  /** The same where a kind of refusal is accepted; empty where it cannot be, or is already. */
  default Optional<Cure> accepting(RefusalKind kind) {
    return Optional.empty();
  }

  /** The kind of refusal, where it may be accepted and has not been yet. */
  private static Optional<RefusalKind> still(
      RefusalKind kind, Collection<RefusalKind> acceptable, Collection<RefusalKind> accepted) {
    return Optional.of(kind).filter(acceptable::contains).filter(each -> !accepted.contains(each));
  }

  /** One whose effect the facts tell, before it is planned. */
  sealed interface Measured extends Cure {
    Effect effect();
  }

  /** An extraction of a class. */
  record Extract(ExtractClass refactoring) implements Cure {
    @Override
    public Cure named(String name) {
      return new Extract(refactoring.named(name));
    }

    @Override
    public Optional<Cure> accepting(RefusalKind kind) {
      return still(kind, ExtractClass.acceptable(), refactoring.accepted())
          .map(each -> new Extract(refactoring.accepting(each)));
    }
  }

  /**
   * A class of which each group of members becomes one.
   *
   * @param ways how each group could go, what takes the most along first
   */
  record Apart(String type, List<List<ExtractClass>> ways) implements Cure {
    @Override
    public ExtractGroups refactoring() {
      return new ExtractGroups(type, ways.stream().map(each -> each.get(0)).toList());
    }

    @Override
    public Optional<Cure> accepting(RefusalKind kind) {
      return still(kind, ExtractClass.acceptable(), ways.get(0).get(0).accepted())
          .map(
              each ->
                  new Apart(
                      type,
                      ways.stream()
                          .map(group -> group.stream().map(way -> way.accepting(each)).toList())
                          .toList()));
    }
  }

  /** A move of a method. */
  record Move(MoveMethod refactoring, Effect effect) implements Measured {
    @Override
    public Cure named(String name) {
      return new Move(refactoring.named(name), effect);
    }

    @Override
    public Optional<Cure> accepting(RefusalKind kind) {
      return still(kind, MoveMethod.acceptable(), refactoring.accepted())
          .map(each -> new Move(refactoring.accepting(each), effect));
    }
  }

  /**
   * An extraction of a part of a method, which may move on to another class.
   *
   * @param asks the question in its lines that is meant, with {@code it} for the object; empty
   *     where all of them are
   */
  record Part(ExtractMethod refactoring, Effect effect, Optional<String> asks) implements Measured {

    /** The extraction of whole lines. */
    Part(ExtractMethod refactoring, Effect effect) {
      this(refactoring, effect, Optional.empty());
    }

    @Override
    public Cure named(String name) {
      return new Part(refactoring.named(name), effect, asks);
    }

    @Override
    public Optional<Cure> accepting(RefusalKind kind) {
      return still(kind, ExtractMethod.acceptable(), refactoring.accepted())
          .map(each -> new Part(refactoring.accepting(each), effect, asks));
    }
  }

  /** A class that goes, since it does too little. */
  record Inline(InlineClass refactoring, Effect effect) implements Measured {
    @Override
    public Optional<Cure> accepting(RefusalKind kind) {
      return still(kind, InlineClass.acceptable(), refactoring.accepted())
          .map(each -> new Inline(refactoring.accepting(each), effect));
    }
  }

  /** An object in the place of parameters. */
  record Together(ExtractParameterObject refactoring, Effect effect) implements Measured {
    @Override
    public Cure named(String name) {
      return new Together(refactoring.named(name), effect);
    }

    @Override
    public Optional<Cure> accepting(RefusalKind kind) {
      return still(kind, ExtractParameterObject.acceptable(), refactoring.accepted())
          .map(each -> new Together(refactoring.accepting(each), effect));
    }
  }

  /** A superclass that has what classes have in common. */
  record Above(ExtractSuperclass refactoring, Effect effect) implements Measured {
    @Override
    public Cure named(String name) {
      return new Above(refactoring.named(name), effect);
    }

    @Override
    public Optional<Cure> accepting(RefusalKind kind) {
      return still(kind, ExtractSuperclass.acceptable(), refactoring.accepted())
          .map(each -> new Above(refactoring.accepting(each), effect));
    }
  }

  /** A method of which each stage becomes one. */
  record Staged(ExtractStages refactoring, Effect effect) implements Measured {}

  /** Several pieces of repeated code as methods, in one change. */
  record Pieces(ExtractPieces refactoring) implements Cure {}

  /** Several refactorings of one kind, in one change. */
  record InTurn(Several refactoring, Effect effect) implements Measured {}

  /** A field in the place of a parameter that is handed through. */
  record Held(MoveParameter refactoring, Effect effect) implements Measured {
    @Override
    public Cure named(String name) {
      return new Held(refactoring.named(name), effect);
    }

    @Override
    public Optional<Cure> accepting(RefusalKind kind) {
      return still(kind, MoveParameter.acceptable(), refactoring.accepted())
          .map(each -> new Held(refactoring.accepting(each), effect));
    }
  }

  /** A builder in the place of constructors that grow. */
  record Built(ExtractBuilder refactoring, Effect effect) implements Measured {
    @Override
    public Cure named(String name) {
      return new Built(refactoring.named(name), effect);
    }

    @Override
    public Optional<Cure> accepting(RefusalKind kind) {
      return still(kind, ExtractBuilder.acceptable(), refactoring.accepted())
          .map(each -> new Built(refactoring.accepting(each), effect));
    }
  }

  /** Something that goes, since nothing uses it. */
  record Gone(Refactoring refactoring, Effect effect) implements Measured {
    @Override
    public Optional<Cure> accepting(RefusalKind kind) {
      if (refactoring instanceof RemoveClass remove) {
        return still(kind, RemoveClass.acceptable(), remove.accepted())
            .map(each -> new Gone(remove.accepting(each), effect));
      }
      return refactoring instanceof RemoveMember remove
          ? still(kind, RemoveMember.acceptable(), remove.accepted())
              .map(each -> new Gone(remove.accepting(each), effect))
          : Optional.empty();
    }
  }
}
