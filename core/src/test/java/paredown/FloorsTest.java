package paredown;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import com.tngtech.archunit.library.Architectures.LayeredArchitecture;
import java.util.List;

@AnalyzeClasses(packages = "paredown", importOptions = ImportOption.DoNotIncludeTests.class)
class FloorsTest {
  /** From the top floor to the lowest: a package uses only those below it. */
  private static final List<String> FLOORS =
      List.of(
          "session",
          "remedy",
          "smell",
          "measure",
          "refactor",
          "gate",
          "journal",
          "edit",
          "facts",
          "program",
          "text",
          "project",
          "history");

  /** The rooms of refactorings, from the highest to the lowest. */
  private static final List<String> ROOMS =
      List.of(
          "operation",
          "asked",
          "carry",
          "alike",
          "flow",
          "nulls",
          "startup",
          "plan",
          "name",
          "use",
          "effect",
          "code");

  @ArchTest
  static final ArchRule packages_use_only_what_is_below_them = floors("paredown.", FLOORS);

  @ArchTest
  static final ArchRule rooms_of_refactorings_use_only_what_is_below_them =
      floors("paredown.refactor.", ROOMS);

  @ArchTest
  static final ArchRule operations_are_not_made_of_each_other_in_a_circle =
      slices().matching("paredown.refactor.operation.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule what_all_refactorings_share_knows_no_room =
      ArchRuleDefinition.noClasses()
          .that()
          .resideInAPackage("paredown.refactor")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("paredown.refactor.*..");

  @ArchTest
  static final ArchRule smells_and_refactorings_do_not_know_each_other =
      ArchRuleDefinition.noClasses()
          .that()
          .resideInAnyPackage("paredown.smell..", "paredown.measure..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("paredown.refactor..", "paredown.program..");

  @ArchTest
  static final ArchRule no_package_cycles =
      slices().matching("paredown.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule the_core_has_no_interface_code =
      ArchRuleDefinition.noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("picocli..", "com.fasterxml..");

  @ArchTest
  static final ArchRule only_history_knows_version_control =
      ArchRuleDefinition.noClasses()
          .that()
          .resideOutsideOfPackages("paredown.history..", "paredown.cli..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.eclipse.jgit..");

  @ArchTest
  static final ArchRule only_the_public_compiler_is_used =
      ArchRuleDefinition.noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("com.sun.tools..");

  private static ArchRule floors(String house, List<String> floors) {
    LayeredArchitecture layers =
        layeredArchitecture().consideringOnlyDependenciesInLayers().withOptionalLayers(true);
    for (String floor : floors) {
      layers = layers.layer(floor).definedBy(house + floor + "..");
    }
    for (int i = 0; i < floors.size(); i++) {
      layers =
          i == 0
              ? layers.whereLayer(floors.get(0)).mayNotBeAccessedByAnyLayer()
              : layers
                  .whereLayer(floors.get(i))
                  .mayOnlyBeAccessedByLayers(floors.subList(0, i).toArray(String[]::new));
    }
    return layers;
  }
}
