package elvaro.server.program;

import elvaro.server.program.AccessTokenService.AccessTokenView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/me/tokens")
class AccessTokenController {
    private final AccessTokenService service;

    AccessTokenController(AccessTokenService service) {
        this.service = service;
    }

    /** @param days how long it opens anything; absent for ever */
    record AccessTokenForm(
            @NotBlank(message = "Say which program it is for.") @Size(max = 60, message = "The name is too long.")
            String name,

            @NotEmpty(message = "Say what the program may do.") @Size(max = 4)
            Set<@NotNull Scope> scopes,

            @Nullable @Min(value = 1, message = "At least one day.") @Max(value = 3_660, message = "At most ten years.")
            Integer days) {}

    record SeenTokenForm(@NotNull Integer version) {}

    @GetMapping
    List<AccessTokenView> mine() {
        return service.mine();
    }

    @PutMapping("/{id}")
    AccessTokenView make(@PathVariable UUID id, @RequestBody @Valid AccessTokenForm form) {
        return service.make(id, form.name(), form.scopes(), form.days());
    }

    @PutMapping("/{id}/remove")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id, @RequestBody @Valid SeenTokenForm form) {
        service.remove(id, form.version());
    }
}
