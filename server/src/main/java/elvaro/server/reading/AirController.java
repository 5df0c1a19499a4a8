package elvaro.server.reading;

import elvaro.server.device.PackReader;
import elvaro.server.device.PackReader.Pack;
import elvaro.server.reading.ReadingService.Taken;
import elvaro.server.shared.TakesUpTo;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.time.Instant;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class AirController {
    private final ReadingService readings;
    private final AirService air;
    private final AirEvents events;

    AirController(ReadingService readings, AirService air, AirEvents events) {
        this.readings = readings;
        this.air = air;
        this.events = events;
    }

    record DecisionBody(
            @NotNull AirEvent kind,
            @NotNull Instant beganAt,

            @NotBlank(message = "Say what was decided.") @Size(max = 400, message = "At most 400 letters.")
            String words) {}

    /** SenML packs of probes: RFC 8428 in JSON or CBOR, as they are or packed with gzip, with the device's token. */
    @TakesUpTo(PackReader.MOST_BYTES)
    @PostMapping("/devices/readings")
    Taken take(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @RequestHeader(name = "Content-Type", defaultValue = "") String type,
            @RequestHeader(name = "Content-Encoding", defaultValue = "") String encoding,
            InputStream body) {
        return readings.take(PackReader.token(authorization), new Pack(body, type, encoding));
    }

    @GetMapping("/api/chambers/{id}/air")
    AirView view(
            @PathVariable UUID id,
            @RequestParam Instant from,
            @RequestParam Instant to,
            @RequestParam(defaultValue = "400") @Min(10) @Max(2000) int points) {
        return air.view(id, from, to, points);
    }

    @PutMapping("/api/chambers/{id}/air/decisions/{decisionId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void decide(@PathVariable UUID id, @PathVariable UUID decisionId, @RequestBody @Valid DecisionBody form) {
        events.decide(decisionId, id, form.kind(), form.beganAt(), form.words());
    }

    /** What a logger's file would bring if it were meant so, and how it is likely meant. Nothing is kept. */
    @TakesUpTo(LoggerFile.MOST_BYTES)
    @PostMapping("/api/logger-files/preview")
    @PreAuthorize("hasRole('OWNER')")
    LoggerPreview preview(@ParameterObject @Valid LoggerForm form, @Parameter(hidden = true) InputStream body)
            throws IOException {
        return readings.preview(form, body.readAllBytes());
    }

    /** For the owner: it says what the air was while nobody watched. */
    @TakesUpTo(LoggerFile.MOST_BYTES)
    @PostMapping("/api/chambers/{id}/air/file")
    @PreAuthorize("hasRole('OWNER')")
    Taken importFile(
            @PathVariable UUID id, @ParameterObject @Valid LoggerForm form, @Parameter(hidden = true) InputStream body)
            throws IOException {
        return readings.importFile(id, form, body.readAllBytes());
    }
}
