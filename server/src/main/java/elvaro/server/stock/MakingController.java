package elvaro.server.stock;

import elvaro.core.blend.Made;
import elvaro.core.blend.Made.Product;
import elvaro.server.stock.StockController.LeftView;
import elvaro.server.stock.StockView.MakingView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class MakingController {
    private final MakingService service;
    private final MakingReading reading;
    private final StockService packing;

    MakingController(MakingService service, MakingReading reading, StockService packing) {
        this.service = service;
        this.reading = reading;
        this.packing = packing;
    }

    /** @param grams what came out after all */
    record MadeWeightForm(
            @NotNull Integer version,

            @NotNull
            @Min(value = 1, message = "Enter what came out.")
            @Max(value = 1_000_000, message = "That is more than ⟦limit 1000000⟧.")
            Integer grams,

            @NotNull @Size(max = 400, message = "Say it in fewer words.")
            String words) {}

    /** What is to be expected of so much fat, g. */
    record TallowView(int grams) {}

    @GetMapping("/api/stock/tallow")
    TallowView tallow(
            @RequestParam
                    @Min(value = 1, message = "Something goes in.")
                    @Max(value = 1_000_000, message = "That is more than ⟦limit 1000000⟧.")
                    int grams) {
        return new TallowView(Made.expected(Product.TALLOW, grams));
    }

    /** What would be left of it to pack. */
    @GetMapping("/api/makings/{id}/packs/left")
    LeftView left(
            @PathVariable UUID id,
            @RequestParam Content content,
            @RequestParam(defaultValue = "") @Size(max = 200) List<@Min(0) @Max(100_000) Integer> grams) {
        return new LeftView(packing.leftOfMaking(id, content, grams));
    }

    /** Grind and tallow, the newest first. */
    @GetMapping("/api/makings")
    List<MakingView> makings() {
        return reading.makings();
    }

    @GetMapping("/api/makings/{id}")
    MakingView making(@PathVariable UUID id) {
        return reading.making(id);
    }

    /** Grinds or renders; sent again, it happens once. */
    @PutMapping("/api/makings/{id}")
    MakingView make(@PathVariable UUID id, @RequestBody @Valid MakingForm form) {
        service.make(id, form);
        return reading.making(id);
    }

    /** Corrects what came out. */
    @PutMapping("/api/makings/{id}/weight")
    MakingView weigh(@PathVariable UUID id, @RequestBody @Valid MadeWeightForm form) {
        service.correct(id, form.version(), form.grams(), form.words());
        return reading.making(id);
    }

    /** Puts everything back into its packs. */
    @PutMapping("/api/makings/{id}/undo")
    MakingView undo(@PathVariable UUID id) {
        service.undo(id);
        return reading.making(id);
    }

    /** Packs grind or tallow. */
    @PutMapping("/api/makings/{id}/packs")
    MakingView packMade(@PathVariable UUID id, @RequestBody @Valid StockController.PacksForm form) {
        packing.packMade(id, form.packs());
        return reading.making(id);
    }
}
