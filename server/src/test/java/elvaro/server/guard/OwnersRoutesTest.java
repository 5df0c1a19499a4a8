package elvaro.server.guard;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import elvaro.server.support.AsWritten;
import org.springframework.security.access.prepost.PreAuthorize;

@AnalyzeClasses(packages = "elvaro.server", importOptions = AsWritten.class)
class OwnersRoutesTest {
    /** What stands before the body knows this one rule. */
    @ArchTest
    static final ArchRule the_only_right_asked_for_is_the_owners = methods()
            .that()
            .areAnnotatedWith(PreAuthorize.class)
            .should()
            .beAnnotatedWith(DescribedPredicate.describe(
                    "@PreAuthorize(\"hasRole('OWNER')\")",
                    annotation -> annotation
                            .get("value")
                            .map("hasRole('OWNER')"::equals)
                            .orElse(false)));

    private OwnersRoutesTest() {}
}
