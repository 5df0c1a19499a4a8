package elvaro.server.carcass;

import elvaro.core.game.Animal;
import elvaro.core.game.School;
import elvaro.core.game.School.Knife;
import elvaro.core.game.School.Trim;
import elvaro.server.carcass.CarcassView.AnimalView;
import elvaro.server.carcass.CarcassView.CarcassLine;
import elvaro.server.shared.Answers;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class CarcassController {
    private final CarcassService service;
    private final CarcassReading reading;
    private final CoolingService cooling;

    CarcassController(CarcassService service, CarcassReading reading, CoolingService cooling) {
        this.service = service;
        this.reading = reading;
        this.cooling = cooling;
    }

    record TestedForm(@NotNull Integer version, @NotNull DiseaseTest test) {}

    record SchoolForm(
            @NotNull Integer version,
            @NotNull Knife knife,
            @NotNull Trim trim) {}

    record BrokenDownForm(@NotNull @Size(max = Answers.MOST) Map<String, String> answers) {}

    @GetMapping("/api/animals")
    List<AnimalView> animals() {
        return Arrays.stream(Animal.values()).map(AnimalView::of).toList();
    }

    /** The last killed first. */
    @GetMapping("/api/carcasses")
    List<CarcassLine> carcasses() {
        return reading.all();
    }

    @GetMapping("/api/carcasses/{id}")
    CarcassView carcass(@PathVariable UUID id) {
        return reading.view(id);
    }

    /** Takes an animal in and hangs it; sent again, it happens once. */
    @PutMapping("/api/carcasses/{id}")
    CarcassView receive(@PathVariable UUID id, @RequestBody @Valid CarcassForm form) {
        service.receive(id, form);
        return reading.view(id);
    }

    /** Enters the result of the disease test. */
    @PutMapping("/api/carcasses/{id}/test")
    CarcassView tested(@PathVariable UUID id, @RequestBody @Valid TestedForm form) {
        service.tested(id, form.version(), form.test());
        return reading.view(id);
    }

    /** Keeps what was measured in its core; sent again, it is kept once. */
    @PutMapping("/api/carcasses/{id}/cores/{entryId}")
    CarcassView measured(@PathVariable UUID id, @PathVariable UUID entryId, @RequestBody @Valid CoreForm form) {
        cooling.measured(id, entryId, form);
        return reading.view(id);
    }

    /** Says how it is broken down. */
    @PutMapping("/api/carcasses/{id}/school")
    CarcassView cutBy(@PathVariable UUID id, @RequestBody @Valid SchoolForm form) {
        service.cutBy(id, form.version(), new School(form.knife(), form.trim()));
        return reading.view(id);
    }

    /** Cuts a part off; sent again, it happens once. */
    @PutMapping("/api/carcasses/{id}/parts/{partId}")
    CarcassView cutOff(@PathVariable UUID id, @PathVariable UUID partId, @RequestBody @Valid CutOffForm form) {
        service.cutOff(id, partId, form);
        return reading.view(id);
    }

    /** Ends the breaking down. */
    @PutMapping("/api/carcasses/{id}/close/{entryId}")
    CarcassView close(@PathVariable UUID id, @PathVariable UUID entryId, @RequestBody @Valid BrokenDownForm form) {
        service.close(id, entryId, form.answers());
        return reading.view(id);
    }
}
