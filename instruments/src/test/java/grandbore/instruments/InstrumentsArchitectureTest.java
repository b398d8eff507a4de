package grandbore.instruments;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(
    packages = "grandbore.instruments",
    importOptions = ImportOption.DoNotIncludeTests.class)
class InstrumentsArchitectureTest {
  @ArchTest
  static final ArchRule SEES_NEITHER_BOOK_NOR_INTERFACE =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "javafx..", "grandbore.book..", "grandbore.cli..", "grandbore.desktop..");
}
