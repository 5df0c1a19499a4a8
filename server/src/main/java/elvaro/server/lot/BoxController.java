package elvaro.server.lot;

import elvaro.server.lot.BoxService.BoxesView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class BoxController {
    private final BoxService boxes;

    BoxController(BoxService boxes) {
        this.boxes = boxes;
    }

    record CodesForm(
            @NotEmpty @Size(max = 200, message = "At most 100 boxes at once.")
            List<@NotNull @Size(max = 200, message = "That is longer than any code of a box.") String> codes) {}

    /** Reads the codes of boxes; nothing is kept. */
    @PostMapping("/api/boxes")
    BoxesView read(@RequestBody @Valid CodesForm form) {
        return boxes.read(form.codes());
    }
}
