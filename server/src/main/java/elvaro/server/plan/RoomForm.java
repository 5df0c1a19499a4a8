package elvaro.server.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;

/** Pieces that look for room: how many of a scenario, and from when. */
public record RoomForm(
        @NotNull @Valid ScenarioForm scenario,
        @NotNull @Min(1) @Max(60) Integer pieces,
        @NotNull LocalDate from,
        @NotNull @Min(1) @Max(400) Integer showDays) {}
