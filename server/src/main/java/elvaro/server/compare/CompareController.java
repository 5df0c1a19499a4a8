package elvaro.server.compare;

import elvaro.server.compare.CompareService.CompareView;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class CompareController {
    private final CompareService service;

    CompareController(CompareService service) {
        this.service = service;
    }

    @GetMapping("/api/compare")
    CompareView compare(@RequestParam List<UUID> pieces) {
        return service.compare(pieces);
    }
}
