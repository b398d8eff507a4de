package grandbore.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(
    packages = "grandbore.desktop",
    importOptions = ImportOption.DoNotIncludeTests.class)
class DesktopArchitectureTest {
  @ArchTest
  static final ArchRule HAS_NO_PACKAGE_CYCLES =
      slices().matching("grandbore.desktop.(*)..").should().beFreeOfCycles();

  /** Views ask the queue of runs; none keeps a predictor or threads of its own. */
  @ArchTest
  static final ArchRule SOLVES_NOTHING_ITSELF =
      noClasses()
          .should()
          .dependOnClassesThat()
          .haveFullyQualifiedName("grandbore.core.prediction.Predictor");

  /** The book is read by the session, and by what stands before there is one. */
  @ArchTest
  static final ArchRule READS_THE_BOOK_IN_THE_SESSION =
      noClasses()
          .that()
          .resideOutsideOfPackages("grandbore.desktop", "grandbore.desktop.session")
          .should()
          .dependOnClassesThat()
          .haveFullyQualifiedName("grandbore.book.ShopBook");
}
