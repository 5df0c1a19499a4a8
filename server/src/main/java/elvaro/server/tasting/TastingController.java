package elvaro.server.tasting;

import elvaro.core.cooking.CookAlike;
import elvaro.core.cooking.Heat;
import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.TastingKind;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.SignedIn;
import elvaro.server.tasting.Panel.FoundNote;
import elvaro.server.tasting.Panel.TasterView;
import elvaro.server.tasting.Strengths.StrengthsView;
import elvaro.server.tasting.TastingService.TastingCheck;
import elvaro.server.tasting.TastingView.TastingLine;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/tastings")
class TastingController {
    private final TastingService service;
    private final TastingReading reading;
    private final SheetService sheets;
    private final Panel panel;
    private final Strengths strengths;

    TastingController(
            TastingService service, TastingReading reading, SheetService sheets, Panel panel, Strengths strengths) {
        this.service = service;
        this.reading = reading;
        this.sheets = sheets;
        this.panel = panel;
        this.strengths = strengths;
    }

    /** What a tasting may be. */
    record TastingChoices(List<KindChoice> kinds, List<HeatChoice> heats, List<Attribute> attributes) {}

    record KindChoice(
            TastingKind kind, String label, int fewest, int most, boolean maySayScores, boolean mustSayScores) {}

    record HeatChoice(Heat heat, String label) {}

    record TableVersion(@NotNull Integer version) {}

    /** @param coreCelsius as measured; absent where it was not */
    record CookedForm(
            @NotNull Integer version,

            @NotNull
            @Min(value = 0, message = "A thickness is not negative.")
            @Max(value = 200, message = "At most ⟦length 200⟧.")
            Integer thicknessMm,

            boolean thawed,
            boolean sameSeasoning,

            @Nullable
            @DecimalMin(value = "0", message = "A cooked core is above ⟦temperature 0⟧.")
            @DecimalMax(value = "110", message = "A cooked core is below ⟦temperature 110⟧.")
            Double coreCelsius,

            @Nullable
            @DecimalMin(value = "0.5", message = "A probe says something after a while.")
            @DecimalMax(value = "600", message = "Nothing cooks for so long.")
            Double probeMinutes,

            @Nullable
            @DecimalMin(value = "-5", message = "A core over a fire is above ⟦temperature -5⟧.")
            @DecimalMax(value = "110", message = "A cooked core is below ⟦temperature 110⟧.")
            Double probeCelsius) {
        CookAlike.@Nullable Probe probe() {
            if ((probeMinutes == null) != (probeCelsius == null)) {
                throw Refusal.wrong(
                        "half-a-probe", "probeMinutes", "Say after how many minutes, and what the probe showed.");
            }
            return probeMinutes == null || probeCelsius == null
                    ? null
                    : new CookAlike.Probe(probeMinutes, probeCelsius);
        }
    }

    @GetMapping
    List<TastingLine> tastings() {
        return reading.all();
    }

    @GetMapping("/choices")
    TastingChoices choices() {
        return new TastingChoices(
                Arrays.stream(TastingKind.values())
                        .map(kind -> new KindChoice(
                                kind,
                                kind.label(),
                                kind.fewest(),
                                kind.most(),
                                kind.maySayScores(),
                                kind.mustSayScores()))
                        .toList(),
                Arrays.stream(Heat.values())
                        .map(heat -> new HeatChoice(heat, heat.label()))
                        .toList(),
                Attribute.USUAL);
    }

    /** What a tasting begins with that is of no trial. */
    @GetMapping("/first")
    FirstTasting first(
            @RequestParam(defaultValue = "") @Size(max = 6, message = "Two to six samples.") List<UUID> piece) {
        return service.first(piece);
    }

    @GetMapping("/tasters")
    List<TasterView> tasters() {
        return panel.tasters();
    }

    /** Takes a taster's name away for good; the answers stay. */
    @PreAuthorize("hasRole('OWNER')")
    @PutMapping("/tasters/{id}/forget")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forget(@PathVariable UUID id, @RequestBody @Valid TableVersion form) {
        panel.forget(id, form.version());
    }

    @GetMapping("/notes")
    List<FoundNote> notes(@RequestParam(defaultValue = "") String words) {
        return panel.notes(words);
    }

    /** How treatments and methods are liked against each other, over all tastings. */
    @GetMapping("/strengths")
    StrengthsView strengths() {
        return strengths.all();
    }

    /** What a tasting that is only planned can show; nothing is kept. */
    @PostMapping("/check")
    TastingCheck check(@RequestBody @Valid TastingForm form) {
        return service.check(form);
    }

    @GetMapping("/{id}")
    TastingView tasting(@PathVariable UUID id) {
        return reading.view(id);
    }

    /** Sets a table; sent again, it happens once. */
    @PutMapping("/{id}")
    TastingView create(@PathVariable UUID id, @RequestBody @Valid TastingForm form) {
        service.create(id, form);
        return reading.view(id);
    }

    @PutMapping("/{id}/open")
    TastingView open(@PathVariable UUID id, @RequestBody @Valid TableVersion form) {
        service.open(id, form.version());
        return reading.view(id);
    }

    @PutMapping("/{id}/reveal")
    TastingView reveal(@PathVariable UUID id, @RequestBody @Valid TableVersion form) {
        service.reveal(id, form.version());
        return reading.view(id);
    }

    @PutMapping("/{id}/drop")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@PathVariable UUID id, @RequestBody @Valid TableVersion form) {
        service.drop(id, form.version());
    }

    /** How a sample came to the table. */
    @PutMapping("/{id}/samples/{sampleId}")
    TastingView cooked(@PathVariable UUID id, @PathVariable UUID sampleId, @RequestBody @Valid CookedForm form) {
        service.cooked(
                id,
                sampleId,
                form.version(),
                form.thicknessMm(),
                form.thawed(),
                form.sameSeasoning(),
                form.coreCelsius(),
                form.probe());
        return reading.view(id);
    }

    /** A paper sheet, typed in. */
    @PutMapping("/{id}/places/{placeId}/sheets/{sheetId}")
    TastingView type(
            @PathVariable UUID id,
            @PathVariable UUID placeId,
            @PathVariable UUID sheetId,
            @RequestBody @Valid SheetForm form,
            @AuthenticationPrincipal SignedIn person) {
        sheets.type(id, placeId, sheetId, form, person.accountId());
        return reading.view(id);
    }
}
