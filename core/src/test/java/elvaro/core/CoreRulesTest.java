package elvaro.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "elvaro.core", importOptions = DoNotIncludeTests.class)
class CoreRulesTest {

    @ArchTest
    static final ArchRule core_knows_only_java_its_null_marks_and_a_maths_library = classes()
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage("elvaro.core..", "java..", "org.jspecify..", "org.hipparchus..");

    @ArchTest
    static final ArchRule subjects_depend_one_way =
            slices().matching("elvaro.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule core_reads_no_clock_and_touches_no_file = noClasses()
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .dependOnClassesThat()
            .resideInAnyPackage("java.io", "java.nio.file", "java.sql", "java.net");
}
