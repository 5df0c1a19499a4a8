package elvaro.server.reading;

import elvaro.server.device.PackReader;
import elvaro.server.reading.ReadingService.Taken;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.TakesUpTo;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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

    record FileForm(
            @NotBlank(message = "The file has no name.") @Size(max = 200, message = "The name of the file is too long.")
            String name,

            @NotNull @Size(max = LoggerFile.MOST_BYTES) String text,
            @NotNull String time,
            @Nullable String temperature,
            @Nullable String humidity,
            @Nullable String speed,
            LoggerFile.@NotNull Moments moments,
            @NotNull String zone,
            boolean fahrenheit) {
        LoggerFile.Mapping mapping() {
            try {
                return new LoggerFile.Mapping(time, temperature, humidity, speed, moments, ZoneId.of(zone), fahrenheit);
            } catch (DateTimeException unknown) {
                throw Refusal.wrong("invalid", "zone", "There is no such time zone.");
            }
        }
    }

    record HeadForm(@NotNull @Size(max = 100_000) String text) {}

    /** SenML packs of probes: RFC 8428 in JSON, with the device's token. */
    @TakesUpTo(PackReader.MOST_BYTES)
    @PostMapping("/devices/readings")
    Taken take(@RequestHeader(name = "Authorization", defaultValue = "") String authorization, InputStream body)
            throws IOException {
        return readings.take(PackReader.token(authorization), body);
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

    /** The columns of a logger's file, from its first lines. */
    @PreAuthorize("hasRole('OWNER')")
    @PostMapping("/api/logger-files/columns")
    List<String> columns(@RequestBody @Valid HeadForm form) {
        return LoggerFile.columns(form.text());
    }

    /** For the owner: it says what the air was while nobody watched. */
    @TakesUpTo(LoggerFile.MOST_BYTES)
    @PostMapping("/api/chambers/{id}/air/file")
    @PreAuthorize("hasRole('OWNER')")
    Taken importFile(@PathVariable UUID id, @RequestBody @Valid FileForm form) {
        return readings.importFile(id, form.name(), form.text(), form.mapping());
    }
}
