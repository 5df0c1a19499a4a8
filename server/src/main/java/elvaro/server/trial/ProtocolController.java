package elvaro.server.trial;

import elvaro.server.trial.NextTrial.NextForm;
import jakarta.validation.Valid;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Protocol files, out and in. */
@RestController
class ProtocolController {
    private final Protocols protocols;

    ProtocolController(Protocols protocols) {
        this.protocols = protocols;
    }

    /** @param trialId a trial that follows the protocol here, where it was a result; absent for one to be begun */
    record TakenInView(UUID id, @Nullable UUID trialId) {}

    /** @param houses absent while no other house has told what it found */
    record HousesAnswer(@Nullable HousesView houses) {}

    /** The trial for another house, and what came of it here. */
    @GetMapping("/api/trials/{id}/protocol")
    ResponseEntity<ProtocolFile> file(@PathVariable UUID id) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"trial.protocol.json\"")
                .body(protocols.file(id));
    }

    @GetMapping("/api/trials/{id}/houses")
    HousesAnswer houses(@PathVariable UUID id) {
        return new HousesAnswer(protocols.houses(id));
    }

    /**
     * Takes a file of another house in; sent again, it is there once.
     *
     * @param as the id it is kept under, made by whoever sends it
     */
    @PostMapping("/api/protocols")
    TakenInView takeIn(@RequestParam UUID as, @RequestBody @Valid ProtocolFile file) {
        protocols.takeIn(as, file);
        return new TakenInView(
                as, file.result() == null ? null : protocols.follower(file.id()).orElse(null));
    }

    /** A trial as a protocol says, to be set up here. */
    @GetMapping("/api/protocols/{id}/trial")
    NextForm begin(@PathVariable UUID id) {
        return protocols.begin(id);
    }
}
