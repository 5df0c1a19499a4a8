package elvaro.server;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.belongToAnyOf;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaFieldAccess.AccessType;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import elvaro.server.piece.LogReader;
import elvaro.server.piece.PieceLogs;
import elvaro.server.piece.PieceReader;
import elvaro.server.support.AsWritten;
import jakarta.persistence.Entity;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.context.annotation.Conditional;
import org.springframework.context.annotation.Profile;
import org.springframework.transaction.annotation.Transactional;

@AnalyzeClasses(packages = "elvaro.server", importOptions = AsWritten.class)
class ServerRulesTest {
    private static final DescribedPredicate<JavaClass> REPOSITORIES =
            JavaClass.Predicates.assignableTo(org.springframework.data.repository.Repository.class);

    @ArchTest
    static final ArchRule features_depend_one_way =
            slices().matching("elvaro.server.(*)..").should().beFreeOfCycles();

    /** What is worked out as the application is packaged is the same at every start: docs/decisions/0054. */
    @ArchTest
    static final ArchRule which_beans_there_are_does_not_depend_on_how_it_is_started = noClasses()
            .should()
            .dependOnClassesThat(belongToAnyOf(Conditional.class, Profile.class)
                    .or(resideInAPackage("org.springframework.boot.autoconfigure.condition")));

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

    /** A piece stands on three floors; nothing runs back up. */
    @ArchTest
    static final ArchRule the_piece_knows_neither_its_forecast_nor_what_people_do = noClasses()
            .that()
            .resideInAPackage("..server.piece..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("..server.forecast..", "..server.hanging..");

    @ArchTest
    static final ArchRule the_forecast_knows_nothing_of_what_people_do = noClasses()
            .that()
            .resideInAPackage("..server.forecast..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("..server.hanging..");

    /** Everybody else asks {@code hanging} or {@code forecast}. */
    @ArchTest
    static final ArchRule pieces_and_logs_are_read_on_their_three_floors = noClasses()
            .that()
            .resideOutsideOfPackages("..server.piece..", "..server.forecast..", "..server.hanging..")
            .should()
            .dependOnClassesThat(belongToAnyOf(PieceReader.class, LogReader.class, PieceLogs.class));

    @ArchTest
    static final ArchRule rows_are_changed_by_their_own_feature_only = methods()
            .that()
            .areDeclaredInClassesThat()
            .areAnnotatedWith(Entity.class)
            .should(new ArchCondition<>("be called from their own package if they set a field") {
                @Override
                public void check(JavaMethod method, ConditionEvents events) {
                    boolean mutates = method.getFieldAccesses().stream()
                            .anyMatch(access -> access.getAccessType() == AccessType.SET
                                    && access.getTargetOwner()
                                            .isAssignableTo(method.getOwner().getName()));
                    if (mutates) {
                        method.getCallsOfSelf().stream()
                                .filter(call -> !call.getOriginOwner()
                                        .getPackageName()
                                        .equals(method.getOwner().getPackageName()))
                                .forEach(call ->
                                        events.add(SimpleConditionEvent.violated(method, call.getDescription())));
                    }
                }
            });

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
