package elvaro.server.account;

import elvaro.server.shared.Role;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
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

    AccountController(AccountService service) {
        this.service = service;
    }

    record NewPerson(
            @NotNull UUID id,

            @NotBlank(message = "A sign-in name is needed.")
            @Size(max = 120)
            @Email(message = "A sign-in name has the form of an e-mail address.")
            String signInName,

            @NotBlank(message = "A name is needed.") @Size(max = 80)
            String name,

            @NotNull Role role,
            @NotNull @Size(max = 200) String password) {}

    record PersonChange(
            @NotNull Integer version,

            @NotBlank(message = "A name is needed.") @Size(max = 80)
            String name,

            @NotNull Role role,
            @NotNull Boolean active) {}

    record NewPassword(@NotNull @Size(max = 200) String password) {}

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
    PersonView add(@RequestBody @Valid NewPerson person) {
        return service.add(person.id(), person.signInName(), person.name(), person.role(), person.password());
    }

    @PutMapping("/people/{id}")
    @PreAuthorize("hasRole('OWNER')")
    PersonView change(@PathVariable UUID id, @RequestBody @Valid PersonChange change) {
        return service.change(id, change.version(), change.name(), change.role(), change.active());
    }

    @PutMapping("/people/{id}/password")
    @PreAuthorize("hasRole('OWNER')")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void resetPassword(@PathVariable UUID id, @RequestBody @Valid NewPassword password) {
        service.resetPassword(id, password.password());
    }
}
