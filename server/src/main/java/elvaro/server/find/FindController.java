package elvaro.server.find;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class FindController {
    private final FindService service;

    FindController(FindService service) {
        this.service = service;
    }

    /** Whatever has this tag or number, or these words in it; the likeliest first. */
    @GetMapping("/api/find")
    List<Found> find(@RequestParam @NotBlank @Size(max = 80) String words) {
        return service.find(words);
    }
}
