package grandbore.book;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "grandbore.book", importOptions = ImportOption.DoNotIncludeTests.class)
class BookArchitectureTest {
  @ArchTest
  static final ArchRule SEES_NO_INTERFACE =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("javafx..", "grandbore.cli..", "grandbore.desktop..");
}
