package elvaro.server.hanging;

import elvaro.server.hanging.LotStory.LotView;
import elvaro.server.hanging.LotStory.SplitView;
import elvaro.server.lot.LotForm;
import elvaro.server.lot.LotService;
import elvaro.server.shared.Refusal;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Lots with the pieces cut from them. */
@RestController
@RequestMapping("/api/lots")
class LotController {
    private final PieceCommands commands;
    private final LotService lots;
    private final PieceQueries pieces;
    private final HangingService hanging;
    private final LotStory story;

    LotController(
            PieceCommands commands, LotService lots, PieceQueries pieces, HangingService hanging, LotStory story) {
        this.commands = commands;
        this.lots = lots;
        this.pieces = pieces;
        this.hanging = hanging;
        this.story = story;
    }

    /** A lot in a list. */
    record LotLine(
            UUID id,
            int number,
            String cutCode,
            String cutName,
            String supplier,
            int receivedGrams,
            @Nullable Integer priceMinorPerKg,
            String receivedOn) {}

    @GetMapping
    List<LotLine> newest() {
        return lots.newest().stream()
                .map(lot -> new LotLine(
                        lot.id(),
                        lot.number(),
                        lot.cut().code(),
                        lot.cut().name(),
                        lot.supplier(),
                        lot.receivedGrams(),
                        lot.priceMinorPerKg(),
                        lot.receivedOn().toString()))
                .toList();
    }

    @GetMapping("/{id}")
    LotView lot(@PathVariable UUID id) {
        return story.view(id);
    }

    @PostMapping
    LotForm receive(@RequestBody @Valid LotForm form) {
        return LotStory.form(lots.receive(form));
    }

    @PutMapping("/{id}")
    LotForm change(@PathVariable UUID id, @RequestBody @Valid LotForm form) {
        if (!form.id().equals(id)) {
            throw Refusal.wrong("invalid", "id", "The lot in the address is not the one in the request.");
        }
        return LotStory.form(commands.changeLot(form));
    }

    @GetMapping("/{id}/split")
    SplitView preview(@PathVariable UUID id, @RequestParam List<@Min(1) @Max(1_000_000) Integer> grams) {
        return story.preview(id, grams);
    }

    @PostMapping("/{id}/pieces")
    List<PieceCard> split(@PathVariable UUID id, @RequestBody @Valid SplitForm form) {
        hanging.split(id, form);
        return pieces.ofLot(id);
    }
}
