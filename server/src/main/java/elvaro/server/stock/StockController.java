package elvaro.server.stock;

import elvaro.server.settings.HouseAddress;
import elvaro.server.stock.Blending.BlendView;
import elvaro.server.stock.Blending.FirstBlend;
import elvaro.server.stock.StockView.PackStory;
import elvaro.server.stock.StockView.PackView;
import elvaro.server.stock.StockView.RecallView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class StockController {
    private final StockService service;
    private final StockReading reading;
    private final Labels labels;
    private final Blending blending;
    private final CleaningService cleaning;
    private final HouseAddress address;

    StockController(
            StockService service,
            StockReading reading,
            Labels labels,
            Blending blending,
            CleaningService cleaning,
            HouseAddress address) {
        this.address = address;
        this.cleaning = cleaning;
        this.service = service;
        this.reading = reading;
        this.labels = labels;
        this.blending = blending;
    }

    record PacksForm(
            @NotEmpty(message = "Weigh a pack first.") @Size(max = 200, message = "At most 200 packs at once.")
            List<@Valid PackForm> packs) {}

    record OutForm(
            @NotNull(message = "Say what for.") WithdrawalPurpose way,

            @NotNull
            @Min(value = 1, message = "Something must go out.")
            @Max(value = 100_000, message = "A pack weighs at most ⟦limit 100000⟧.")
            Integer grams,

            @NotNull @Size(max = 200, message = "Say it in fewer words.")
            String words) {}

    record OutBackForm(
            @NotNull UUID slip,

            @NotNull @Size(max = 200, message = "Say it in fewer words.")
            String words) {}

    /** @param days 0 for no rule */
    record PackRuleForm(
            @NotNull Content content,
            @NotNull Wrap wrap,
            @NotNull Keeping keeping,
            @NotNull Integer version,

            @NotNull
            @Min(value = 0, message = "Days are not negative.")
            @Max(value = 1000, message = "At most 1000 days.")
            Integer days) {}

    /** @param grams below 0 where it is more than there was */
    record LeftView(int grams) {}

    record LabelChoice(LabelSize size, String label) {}

    @GetMapping("/api/stock")
    StockView stock() {
        return reading.stock();
    }

    /** The workshop's own rule of how long a pack is used. */
    @PutMapping("/api/stock/rule")
    StockView rule(@RequestBody @Valid PackRuleForm form) {
        service.rule(form.content(), form.wrap(), form.keeping(), form.version(), form.days());
        return reading.stock();
    }

    /** What a grind begins with: all that is packed for it. */
    @GetMapping("/api/stock/blend")
    FirstBlend blend() {
        return blending.first();
    }

    /** The cheapest grind of these; nothing is kept. */
    @PostMapping("/api/stock/blend")
    BlendView blend(@RequestBody @Valid BlendForm form) {
        return blending.of(form);
    }

    @GetMapping("/api/pieces/{pieceId}/packs")
    List<PackView> ofPiece(@PathVariable UUID pieceId) {
        return reading.ofPiece(pieceId);
    }

    /** Packs what a piece gave; packs that are there already stay as they are. */
    @PutMapping("/api/pieces/{pieceId}/packs")
    List<PackView> pack(@PathVariable UUID pieceId, @RequestBody @Valid PacksForm form) {
        service.pack(pieceId, form.packs());
        return reading.ofPiece(pieceId);
    }

    /** What would be left to pack of a piece. */
    @GetMapping("/api/pieces/{pieceId}/packs/left")
    LeftView left(
            @PathVariable UUID pieceId,
            @RequestParam Content content,
            @RequestParam(defaultValue = "") @Size(max = 200) List<@Min(0) @Max(100_000) Integer> grams) {
        return new LeftView(service.left(pieceId, content, grams));
    }

    @GetMapping("/api/packs/{id}")
    PackStory story(@PathVariable UUID id) {
        return reading.story(id);
    }

    /** Takes out of a pack; sent again, it happens once. */
    @PutMapping("/api/packs/{id}/out/{outId}")
    PackStory takeOut(@PathVariable UUID id, @PathVariable UUID outId, @RequestBody @Valid OutForm form) {
        service.takeOut(id, outId, form.way(), form.grams(), form.words());
        return reading.story(id);
    }

    /** Weighs again what was packed untrimmed, once it was thawed and cleaned; sent again, it happens once. */
    @PutMapping("/api/packs/{id}/cleaned/{outId}")
    PackStory clean(@PathVariable UUID id, @PathVariable UUID outId, @RequestBody @Valid CleaningForm form) {
        cleaning.clean(id, outId, form);
        return reading.story(id);
    }

    /** Takes a slip back. */
    @PutMapping("/api/packs/{id}/back/{outId}")
    PackStory takeBack(@PathVariable UUID id, @PathVariable UUID outId, @RequestBody @Valid OutBackForm form) {
        service.takeBack(id, outId, form.slip(), form.words());
        return reading.story(id);
    }

    /** Which packs came from a lot, and where they went. */
    @GetMapping("/api/lots/{id}/recall")
    RecallView recall(@PathVariable UUID id) {
        return reading.recall(id);
    }

    @GetMapping("/api/label-sizes")
    List<LabelChoice> sizes() {
        return Arrays.stream(LabelSize.values())
                .map(size -> new LabelChoice(size, size.label()))
                .toList();
    }

    @GetMapping(path = "/api/labels", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] labels(@RequestParam List<UUID> packs, @RequestParam LabelSize size) {
        return labels.ofPacks(packs, size, address.now());
    }

    @GetMapping(path = "/api/pieces/{pieceId}/hang-tag", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] tag(@PathVariable UUID pieceId, @RequestParam LabelSize size) {
        return labels.ofPiece(pieceId, size, address.now());
    }
}
