package elvaro.server.device;

import elvaro.server.device.DeviceService.DeviceView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/devices")
class DeviceController {
    private final DeviceService service;

    DeviceController(DeviceService service) {
        this.service = service;
    }

    /** @param chamberId what a probe measures; null for a scale */
    record DeviceForm(
            @NotBlank(message = "The device needs a name.") @Size(max = 60, message = "The name is too long.")
            String name,

            @Nullable UUID chamberId) {}

    record SeenForm(@NotNull Integer version) {}

    @GetMapping
    List<DeviceView> open() {
        return service.open();
    }

    @PutMapping("/{id}")
    @PreAuthorize("hasRole('OWNER')")
    DeviceView add(@PathVariable UUID id, @RequestBody @Valid DeviceForm form) {
        return service.add(id, form.name(), form.chamberId());
    }

    @PutMapping("/{id}/token")
    @PreAuthorize("hasRole('OWNER')")
    DeviceView renew(@PathVariable UUID id, @RequestBody @Valid SeenForm form) {
        return service.renew(id, form.version());
    }

    @PutMapping("/{id}/revoke")
    @PreAuthorize("hasRole('OWNER')")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void revoke(@PathVariable UUID id, @RequestBody @Valid SeenForm form) {
        service.revoke(id, form.version());
    }
}
