package elvaro.server.support;

import elvaro.server.App;
import elvaro.server.account.SetupService;
import elvaro.server.settings.WorkshopSettings;
import elvaro.server.shared.HouseTime;
import elvaro.server.shared.SignedIn;
import java.util.Map;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Starts the real application once per JVM, with the demo, on the MariaDB the launcher gives the tests, and hands its
 * beans to test methods. Each test makes its own workshop, so that tests do not see one another.
 */
public class RunningApp implements ParameterResolver {
    public static final String PASSWORD = "a few plain words";

    private static final MovedClock CLOCK = new MovedClock();
    private static final ConfigurableApplicationContext CONTEXT = start();

    private static ConfigurableApplicationContext start() {
        SpringApplication application = new SpringApplication(App.class);
        application.addInitializers(RunningApp::hashPasswordsQuickly, RunningApp::moveTheClock);
        return application.run(
                "--server.port=0",
                "--elvaro.demo=true",
                "--elvaro.demo-password=" + PASSWORD,
                "--elvaro.notices-from=P1D", // tests look when they want to
                "--elvaro.files-a-minute=100000");
    }

    /** Two thirds of what the server's tests reckoned were hashes slow on purpose, for nobody who attacks. */
    private static void hashPasswordsQuickly(ConfigurableApplicationContext context) {
        ((GenericApplicationContext) context)
                .registerBean(
                        "quickPasswordEncoder",
                        PasswordEncoder.class,
                        () -> new DelegatingPasswordEncoder("bcrypt", Map.of("bcrypt", new BCryptPasswordEncoder(4))),
                        definition -> definition.setPrimary(true));
    }

    private static void moveTheClock(ConfigurableApplicationContext context) {
        ((GenericApplicationContext) context)
                .registerBean(
                        "movedClock",
                        HouseTime.class,
                        () -> new HouseTime(CLOCK),
                        definition -> definition.setPrimary(true));
    }

    /** The clock the application goes by; whoever moved it sets it back. */
    public static MovedClock clock() {
        return CLOCK;
    }

    /** A person of a workshop, signed in over HTTP. */
    public record Someone(Client client, SignedIn person, String signInName) {

        /** A new bench hand of the same workshop, signed in. */
        public Client benchHand() {
            String name = UUID.randomUUID() + "@test.example";
            invited(client, name);
            return signIn(name);
        }
    }

    /** Adds a bench hand, who chooses the password of all tests by the code of the invitation. @return their id */
    public static String invited(Client owner, String name) {
        String id = UUID.randomUUID().toString();
        String code = owner.must(owner.post(
                        "/api/people",
                        Map.of("id", id, "signInName", name, "name", "Idris Vale", "role", "BENCH_HAND")))
                .body()
                .path("code")
                .asString();
        Client guest = new Client(port());
        guest.get("/api/session");
        guest.must(guest.post("/api/password-by-code", Map.of("code", code, "password", PASSWORD)));
        return id;
    }

    public static int port() {
        return Integer.parseInt(CONTEXT.getEnvironment().getProperty("local.server.port", "0"));
    }

    public static String property(String name) {
        return CONTEXT.getEnvironment().getRequiredProperty(name);
    }

    public static <T> T bean(Class<T> type) {
        return CONTEXT.getBean(type);
    }

    /** Where every endpoint is listed; there are several of the type. */
    public static RequestMappingHandlerMapping mapping() {
        return CONTEXT.getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
    }

    /** The owner of a workshop of their own, with one chamber to hang in. */
    public static Someone newWorkshop() {
        String name = UUID.randomUUID() + "@test.example";
        SignedIn person = bean(SetupService.class)
                .createWorkshop(
                        WorkshopSettings.starting("Test shop", "EUR", "Europe/Berlin"),
                        new SetupService.Owner(name, "Owner", PASSWORD));
        return new Someone(signIn(name), person, name);
    }

    public static Client signIn(String name) {
        // All tests come from one address, and more of them than a quarter of an hour lets in.
        bean(JdbcClient.class)
                .sql("delete from sign_in_attempt where who like 'address%'")
                .update();
        Client client = new Client(port());
        Client.Answer answer = client.signIn(name, PASSWORD);
        if (answer.status() != 204) {
            throw new AssertionError("Sign-in failed: " + answer);
        }
        return client;
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        Class<?> type = parameter.getParameter().getType();
        return type == Someone.class || type == JdbcClient.class || type == DataSource.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        Class<?> type = parameter.getParameter().getType();
        return type == Someone.class ? newWorkshop() : bean(type);
    }
}
