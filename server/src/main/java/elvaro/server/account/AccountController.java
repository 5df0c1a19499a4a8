package elvaro.server.account;

import elvaro.server.account.MySessions.SessionLine;
import elvaro.server.account.Passkeys.PasskeyLine;
import elvaro.server.shared.Role;
import elvaro.server.shared.TakesUpTo;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class AccountController {
    private final AccountService service;
    private final PasswordCodes codes;
    private final MySessions sessions;
    private final Passkeys passkeys;

    AccountController(AccountService service, PasswordCodes codes, MySessions sessions, Passkeys passkeys) {
        this.passkeys = passkeys;
        this.service = service;
        this.codes = codes;
        this.sessions = sessions;
    }

    record NewPerson(
            @NotNull UUID id,

            @NotBlank(message = "A sign-in name is needed.")
            @Size(max = 120)
            @Email(message = "A sign-in name has the form of an e-mail address.")
            String signInName,

            @NotBlank(message = "A name is needed.") @Size(max = 80)
            String name,

            @NotNull Role role) {}

    /** @param code lets them choose their password, once, within a week; it is not told again */
    record Invited(PersonView person, String code) {}

    record PersonChange(
            @NotNull Integer version,

            @NotBlank(message = "A name is needed.") @Size(max = 80)
            String name,

            @NotNull Role role,
            @NotNull Boolean active) {}

    record Present(@NotNull @Size(max = 200) String password) {}

    record ByCode(
            @NotNull @Size(max = 60) String code,
            @NotNull @Size(max = 200) String password) {}

    record CodesLeft(int left) {}

    record SignInName(String signInName) {}

    record PasswordChange(
            @NotNull @Size(max = 200) String oldPassword,
            @NotNull @Size(max = 200) String password) {}

    @PutMapping("/me/preferences")
    Preferences prefer(@RequestBody @Valid Preferences preferences) {
        return service.prefer(preferences);
    }

    @PutMapping("/me/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changePassword(@RequestBody @Valid PasswordChange change) {
        service.changeOwnPassword(change.oldPassword(), change.password());
    }

    @GetMapping("/people")
    @PreAuthorize("hasRole('OWNER')")
    List<PersonView> people() {
        return service.people();
    }

    @PostMapping("/people")
    @PreAuthorize("hasRole('OWNER')")
    Invited add(@RequestBody @Valid NewPerson person) {
        PersonView added = service.add(person.id(), person.signInName(), person.name(), person.role());
        return new Invited(added, codes.invite(added.id()));
    }

    @PutMapping("/people/{id}")
    @PreAuthorize("hasRole('OWNER')")
    PersonView change(@PathVariable UUID id, @RequestBody @Valid PersonChange change) {
        return service.change(id, change.version(), change.name(), change.role(), change.active());
    }

    /** A code for somebody who cannot get in any more. Until it is used their present password stays. */
    @PutMapping("/people/{id}/code")
    @PreAuthorize("hasRole('OWNER')")
    Invited invite(@PathVariable UUID id) {
        return new Invited(service.person(id), codes.invite(id));
    }

    /** Whoever has a code chooses their password. */
    @TakesUpTo(TakesUpTo.FROM_STRANGERS)
    @PostMapping("/password-by-code")
    SignInName byCode(@RequestBody @Valid ByCode form) {
        return new SignInName(codes.use(form.code(), form.password()));
    }

    /** How many codes the person has left for the day they forgot their password. */
    @GetMapping("/me/recovery-codes")
    CodesLeft codesLeft() {
        return new CodesLeft(codes.left());
    }

    /** New ones, told this once. */
    @PostMapping("/me/recovery-codes")
    List<String> keepCodes(@RequestBody @Valid Present form) {
        return codes.keep(form.password());
    }

    @GetMapping("/me/sessions")
    List<SessionLine> sessions(HttpSession asking) {
        return sessions.all(asking.getId());
    }

    /** All but the one that asks. */
    @DeleteMapping("/me/sessions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endOtherSessions(HttpSession asking) {
        sessions.endOthers(asking.getId());
    }

    @DeleteMapping("/me/sessions/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endSession(@PathVariable String id) {
        sessions.end(id);
    }

    @GetMapping("/me/passkeys")
    List<PasskeyLine> passkeys() {
        return passkeys.mine();
    }

    @DeleteMapping("/me/passkeys/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removePasskey(@PathVariable String id) {
        passkeys.remove(id);
    }
}
