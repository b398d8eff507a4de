package grandbore.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "grandbore.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule SEES_NO_INTERFACE_FILE_OR_DATABASE =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "javafx..",
              "java.awt..",
              "javax.swing..",
              "java.sql..",
              "java.io..",
              "java.nio.file..",
              "grandbore.book..",
              "grandbore.cli..",
              "grandbore.desktop..",
              "com.fasterxml..");

  @ArchTest
  static final ArchRule HAS_NO_PACKAGE_CYCLES =
      slices().matching("grandbore.core.(*)..").should().beFreeOfCycles();
}
