package elvaro.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.transaction.annotation.Transactional;

@AnalyzeClasses(packages = "elvaro.server", importOptions = DoNotIncludeTests.class)
class ServerRulesTest {
    private static final DescribedPredicate<JavaClass> REPOSITORIES =
            JavaClass.Predicates.assignableTo(org.springframework.data.repository.Repository.class);

    @ArchTest
    static final ArchRule features_depend_one_way =
            slices().matching("elvaro.server.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule controllers_translate_and_nothing_more = noClasses()
            .that()
            .haveSimpleNameEndingWith("Controller")
            .should()
            .dependOnClassesThat(REPOSITORIES)
            .orShould()
            .dependOnClassesThat()
            .areAssignableTo(Transactional.class)
            .orShould()
            .dependOnClassesThat()
            .resideInAnyPackage("jakarta.persistence..", "org.hibernate..");

    @ArchTest
    static final ArchRule repositories_stay_in_their_feature =
            classes().that(REPOSITORIES).should().bePackagePrivate();

    @ArchTest
    static final ArchRule the_demo_is_nobodys_need = noClasses()
            .that()
            .resideOutsideOfPackage("..demo..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("..demo..");

    /** The API's description knows records by their simple names: of two alike it keeps one. */
    @ArchTest
    static void no_two_records_share_a_name(JavaClasses all) {
        Map<String, Long> byName = all.stream()
                .filter(JavaClass::isRecord)
                .filter(each -> !each.getModifiers().contains(JavaModifier.PRIVATE))
                .collect(Collectors.groupingBy(JavaClass::getSimpleName, Collectors.counting()));
        assertThat(byName)
                .allSatisfy((name, count) -> assertThat(count).as(name).isOne());
    }
}
