package elvaro.server.account;

import elvaro.server.account.Preferences.Measures;
import elvaro.server.settings.HouseAddress;
import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import elvaro.server.shared.TakesUpTo;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Currency;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class SessionController {
    private final AccountService accounts;
    private final WorkshopService workshops;
    private final SetupService setup;
    private final HouseAddress address;
    private final String version;

    SessionController(
            AccountService accounts,
            WorkshopService workshops,
            SetupService setup,
            HouseAddress address,
            @Value("${elvaro.version}") String version) {
        this.accounts = accounts;
        this.workshops = workshops;
        this.setup = setup;
        this.address = address;
        this.version = version;
    }

    /**
     * Who is signed in, where, and how they want to see it.
     *
     * @param houseAddress under which people reach the house, for links that leave this screen
     * @param onlyHere whether only this machine reaches it
     * @param rehearsing whether this is the house of a rehearsal, which is marked as one everywhere
     * @param version of Elvaro; empty where no launcher says it
     */
    record Me(
            UUID id,
            String signInName,
            String name,
            Role role,
            Preferences preferences,
            String workshopName,
            String currency,
            int divisionGrams,
            LocalDate today,
            String houseAddress,
            boolean onlyHere,
            boolean rehearsing,
            String version) {}

    /**
     * Whether somebody is signed in, and whether the house is still empty.
     *
     * @param guess of currency and units, in an empty house only
     */
    record SessionView(
            boolean setupNeeded,
            @Nullable FirstGuess guess,
            @Nullable Me me) {}

    /**
     * What is usual where the device is, to begin with.
     *
     * @param currency three letters
     */
    record FirstGuess(String currency, Measures measures) {
        static FirstGuess of(Locale device) {
            Currency usual = null;
            try {
                usual = Currency.getInstance(device); // null where no money is used, as in Antarctica
            } catch (IllegalArgumentException noCountry) {
                // The device says a language alone.
            }
            String currency = usual == null ? "EUR" : usual.getCurrencyCode();
            return new FirstGuess(currency, Measures.usualIn(device));
        }
    }

    record Setup(
            @NotBlank(message = "Type the code printed where Elvaro was started.") @Size(max = 40)
            String code,

            @NotBlank(message = "The workshop needs a name.") @Size(max = 80)
            String workshopName,

            @NotNull @Pattern(regexp = "[A-Z]{3}", message = "A currency is three letters, such as EUR.")
            String currency,

            @NotBlank @Size(max = 40) String zone,

            @NotBlank(message = "A sign-in name is needed.")
            @Size(max = 120)
            @Email(message = "A sign-in name has the form of an e-mail address.")
            String signInName,

            @NotBlank(message = "Your name is needed.") @Size(max = 80)
            String name,

            @NotNull @Size(max = 200) String password,
            @Nullable Measures measures) {}

    @GetMapping("/api/session")
    SessionView session(@AuthenticationPrincipal @Nullable SignedIn person) {
        if (person == null) {
            boolean empty = setup.isNeeded();
            return new SessionView(empty, empty ? FirstGuess.of(LocaleContextHolder.getLocale()) : null, null);
        }
        Account account = accounts.me();
        var workshop = workshops.mine();
        return new SessionView(
                false,
                null,
                new Me(
                        account.id(),
                        account.signInName(),
                        account.name(),
                        account.role(),
                        account.preferences(),
                        workshop.name(),
                        workshop.currency(),
                        workshop.divisionGrams(),
                        workshops.today(),
                        address.now(),
                        address.isOnlyHere(),
                        person.outside().isPresent(),
                        version));
    }

    @TakesUpTo(TakesUpTo.FROM_STRANGERS)
    @PostMapping("/api/setup")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setUp(@RequestBody @Valid Setup form) {
        WorkshopSettings settings = WorkshopSettings.starting(form.workshopName(), form.currency(), form.zone());
        setup.setUp(
                form.code(),
                settings,
                new SetupService.Owner(form.signInName(), form.name(), form.password()),
                form.measures());
    }
}
