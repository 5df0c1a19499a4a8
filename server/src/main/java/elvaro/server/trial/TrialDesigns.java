package elvaro.server.trial;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.trial.Design;
import elvaro.core.trial.Design.Arm;
import elvaro.core.trial.Draw;
import elvaro.core.trial.Factor;
import elvaro.core.trial.Facts;
import elvaro.core.yield.BenchOrder;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import elvaro.server.treatment.TreatmentQueries;
import elvaro.server.treatment.TreatmentService;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Trials as their design is judged: of what is planned, and of what hangs. */
@Component
class TrialDesigns {
    private final PieceQueries pieces;
    private final LotService lots;
    private final ChamberService chambers;
    private final TreatmentService treatments;
    private final TreatmentQueries treated;
    private final WorkshopService workshops;

    TrialDesigns(
            PieceQueries pieces,
            LotService lots,
            ChamberService chambers,
            TreatmentService treatments,
            TreatmentQueries treated,
            WorkshopService workshops) {
        this.pieces = pieces;
        this.lots = lots;
        this.chambers = chambers;
        this.treatments = treatments;
        this.treated = treated;
        this.workshops = workshops;
    }

    /** A trial that is only planned. */
    Design planned(TrialForm form) {
        return form.lotId() == null ? ofPieces(form) : ofLot(form, lots.get(form.lotId()));
    }

    private Design ofPieces(TrialForm form) {
        List<UUID> ids =
                form.arms().stream().flatMap(arm -> arm.pieces().stream()).toList();
        Map<UUID, Figures> found = pieces.figures(ids.stream().distinct().toList()).stream()
                .collect(Collectors.toMap(each -> each.piece().id(), Function.identity()));
        Map<UUID, String> given = treated.words(ids);
        return new Design(
                form.factor(),
                form.arms().stream()
                        .map(arm -> new Arm(
                                arm.name(),
                                arm.control(),
                                arm.pieces().stream()
                                        .map(id -> facts(found.get(id).piece(), given, workshops.today()))
                                        .toList()))
                        .toList());
    }

    /** Who gets which part is drawn later; to the design it is all the same. */
    private Design ofLot(TrialForm form, Lot lot) {
        int arms = form.arms().size();
        List<Integer> drawn = form.parts().size() < arms
                ? List.of()
                : Draw.of(arms, form.parts().size(), 0);
        List<Arm> planned = new ArrayList<>();
        for (int index = 0; index < arms; index++) {
            TrialForm.ArmForm arm = form.arms().get(index);
            List<Facts> facts = new ArrayList<>();
            for (int part = 0; part < drawn.size(); part++) {
                if (drawn.get(part) == index && arm.setUp() != null) {
                    facts.add(facts(lot, form, arm.setUp(), form.parts().get(part)));
                }
            }
            planned.add(new Arm(arm.name(), arm.control(), facts));
        }
        return new Design(form.factor(), planned);
    }

    private Facts facts(Lot lot, TrialForm form, SetUp setUp, int grams) {
        String chamber = chambers.find(setUp.chamberId())
                .map(Chamber::name)
                .orElseThrow(() -> Refusal.wrong("missing", "chamberId", "Choose the chamber it hangs in."));
        String treatment = Optional.ofNullable(setUp.treatment())
                .map(asked -> treatments.given(asked).words())
                .orElse(Facts.PLAIN);
        LocalDate begins = form.hungOn() == null ? workshops.today() : form.hungOn();
        LocalDate hungOn = begins.plusDays(setUp.daysBefore());
        return facts(
                lot,
                "",
                grams,
                hungOn,
                setUp.targetDays(),
                chamber,
                setUp.method(),
                treatment,
                words(setUp.benchOrder()));
    }

    /** A piece that is there; one that is treated before it hangs is to hang today at the earliest. */
    private static Facts facts(Piece piece, Map<UUID, String> given, LocalDate today) {
        if (piece.state() == PieceState.FRESH) {
            throw Refusal.wrong(
                    "not-hung",
                    "pieces",
                    "%s was set aside fresh; it is tasted beside the others, not an arm.".formatted(piece.tag()));
        }
        String coat =
                piece.coating() == Coating.NONE ? Facts.PLAIN : piece.coating().label();
        return facts(
                piece.lot(),
                piece.tag(),
                piece.greenGrams(),
                piece.hungOn().orElse(today),
                piece.targetDays().orElse(0),
                piece.chamber().map(Chamber::name).orElse(""),
                // A fat seal that was given as a treatment is no other method besides.
                piece.method()
                        .map(method ->
                                method == Method.FAT_SEAL && given.containsKey(piece.id()) ? Method.OPEN_AIR : method)
                        .orElse(Method.VACUUM),
                given.getOrDefault(piece.id(), coat),
                words(piece.benchOrder().orElse(null)));
    }

    private static String words(@Nullable BenchOrder order) {
        return order == null ? "" : order.label();
    }

    private static Facts facts(
            Lot lot,
            String tag,
            int grams,
            LocalDate hungOn,
            int days,
            String chamber,
            Method method,
            String treatment,
            String benchOrder) {
        return new Facts(
                tag,
                String.valueOf(lot.number()),
                lot.supplier(),
                lot.grade(),
                lot.cut().name(),
                lot.boneIn(),
                lot.fatCoverMm(),
                grams,
                hungOn,
                days,
                chamber,
                method,
                treatment,
                benchOrder);
    }

    /** A trial whose pieces are there. */
    Design of(Factor factor, List<TrialArm> arms, Map<UUID, List<Figures>> byArm) {
        List<UUID> ids = byArm.values().stream()
                .flatMap(List::stream)
                .map(each -> each.piece().id())
                .toList();
        Map<UUID, String> given = treated.words(ids);
        return new Design(
                factor,
                arms.stream()
                        .map(arm -> new Arm(
                                arm.name(),
                                arm.control(),
                                byArm.getOrDefault(arm.id(), List.of()).stream()
                                        .map(each -> facts(each.piece(), given, workshops.today()))
                                        .toList()))
                        .toList());
    }
}
