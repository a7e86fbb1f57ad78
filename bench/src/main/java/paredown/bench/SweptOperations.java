package paredown.bench;

import java.util.Map;
import java.util.function.Supplier;
import paredown.bench.sites.ChangeTypeSites;
import paredown.bench.sites.ExtractClassSites;
import paredown.bench.sites.ExtractMethodSites;
import paredown.bench.sites.ExtractValueSites;
import paredown.bench.sites.ExtractVariableSites;
import paredown.bench.sites.InlineClassSites;
import paredown.bench.sites.InlineFieldSites;
import paredown.bench.sites.InlineMethodSites;
import paredown.bench.sites.InlineVariableSites;
import paredown.bench.sites.MoveDownSites;
import paredown.bench.sites.MoveFieldSites;
import paredown.bench.sites.MoveMethodSites;
import paredown.bench.sites.MoveParameterSites;
import paredown.bench.sites.MoveTypeSites;
import paredown.bench.sites.OrderSites;
import paredown.bench.sites.ParameterObjectSites;
import paredown.bench.sites.RenameSites;
import paredown.bench.sites.Sites;
import paredown.bench.sites.SuperclassSites;
import paredown.refactor.operation.extractvariable.ExtractVariable;

/** The operations that are swept, each with where it could apply. */
final class SweptOperations {
  private static final Map<String, Supplier<Sites>> OPERATIONS =
      Map.ofEntries(
          Map.entry("move-method", MoveMethodSites::new),
          Map.entry("move-class", MoveTypeSites::new),
          Map.entry("extract-class", ExtractClassSites::new),
          Map.entry("extract-method", ExtractMethodSites::new),
          Map.entry("inline-variable", InlineVariableSites::new),
          Map.entry("inline-class", InlineClassSites::new),
          Map.entry("inline-method", InlineMethodSites::new),
          Map.entry("inline-field", InlineFieldSites::new),
          Map.entry("move-field", MoveFieldSites::new),
          Map.entry("move-down", MoveDownSites::new),
          Map.entry("extract-value", ExtractValueSites::new),
          Map.entry("change-type", ChangeTypeSites::new),
          Map.entry("move-parameter", MoveParameterSites::new),
          Map.entry(
              "extract-variable", () -> new ExtractVariableSites(ExtractVariable.Kind.VARIABLE)),
          Map.entry("extract-field", () -> new ExtractVariableSites(ExtractVariable.Kind.FIELD)),
          Map.entry(
              "extract-constant", () -> new ExtractVariableSites(ExtractVariable.Kind.CONSTANT)),
          Map.entry("rename", RenameSites::new),
          Map.entry("parameter-object", ParameterObjectSites::new),
          Map.entry("superclass", SuperclassSites::new),
          Map.entry("order-members", OrderSites::new));

  private SweptOperations() {}

  /**
   * Where an operation could apply.
   *
   * @throws IllegalArgumentException where there is none of that name
   */
  static Sites sites(String operation) {
    Supplier<Sites> sites = OPERATIONS.get(operation);
    if (sites == null) {
      throw new IllegalArgumentException(operation + " is none of " + OPERATIONS.keySet());
    }
    return sites.get();
  }
}
