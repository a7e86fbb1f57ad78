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

  @ArchTest static final ArchRule packages_use_only_what_is_below_them = floors();

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

  private static ArchRule floors() {
    LayeredArchitecture house =
        layeredArchitecture().consideringOnlyDependenciesInLayers().withOptionalLayers(true);
    for (String floor : FLOORS) {
      house = house.layer(floor).definedBy("paredown." + floor + "..");
    }
    for (int i = 0; i < FLOORS.size(); i++) {
      house =
          i == 0
              ? house.whereLayer(FLOORS.get(0)).mayNotBeAccessedByAnyLayer()
              : house
                  .whereLayer(FLOORS.get(i))
                  .mayOnlyBeAccessedByLayers(FLOORS.subList(0, i).toArray(String[]::new));
    }
    return house;
  }
}
