package elvaro.server.chamber;

import elvaro.core.air.ChamberKind;
import elvaro.server.shared.Refusal;
import jakarta.validation.Valid;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/chambers")
class ChamberController {
    private final ChamberService service;

    ChamberController(ChamberService service) {
        this.service = service;
    }

    @GetMapping
    List<ChamberForm> all() {
        return service.all().stream().map(Chamber::form).toList();
    }

    /** One of each kind as they usually are, each with an id it can be kept under. */
    @GetMapping("/usual")
    List<ChamberForm> usual() {
        return Arrays.stream(ChamberKind.values())
                .map(kind -> UsualChamber.of(kind, UUID.randomUUID()))
                .toList();
    }

    @PutMapping("/{id}")
    @PreAuthorize("hasRole('OWNER')")
    ChamberForm put(@PathVariable UUID id, @RequestBody @Valid ChamberForm form) {
        if (!form.id().equals(id)) {
            throw Refusal.wrong("invalid", "id", "The chamber in the address is not the one in the request.");
        }
        return service.put(form);
    }
}
