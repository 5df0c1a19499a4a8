package elvaro.server.settings;

import jakarta.validation.Valid;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/workshop")
class WorkshopController {
    private final WorkshopService service;

    WorkshopController(WorkshopService service) {
        this.service = service;
    }

    @GetMapping
    WorkshopSettings settings() {
        return service.settings();
    }

    @PutMapping
    @PreAuthorize("hasRole('OWNER')")
    WorkshopSettings change(@RequestBody @Valid WorkshopSettings settings) {
        return service.change(settings);
    }
}
