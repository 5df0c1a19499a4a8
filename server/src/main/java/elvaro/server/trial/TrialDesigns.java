package elvaro.server.trial;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.treatment.TreatmentKind;
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
import elvaro.server.piece.PieceRole;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.treatment.Given;
import elvaro.server.treatment.Scents;
import elvaro.server.treatment.TreatmentQueries;
import elvaro.server.treatment.TreatmentService;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
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
    private final Scents scents;
    private final WorkshopService workshops;

    TrialDesigns(
            PieceQueries pieces,
            LotService lots,
            ChamberService chambers,
            TreatmentService treatments,
            TreatmentQueries treated,
            Scents scents,
            WorkshopService workshops) {
        this.pieces = pieces;
        this.lots = lots;
        this.chambers = chambers;
        this.treatments = treatments;
        this.treated = treated;
        this.scents = scents;
        this.workshops = workshops;
    }

    /** A trial that is only planned. */
    Design planned(TrialForm form) {
        return form.lotId() == null ? ofPieces(form) : ofLot(form, lots.get(form.lotId()));
    }

    private Design ofPieces(TrialForm form) {
        List<UUID> ids = form.arms().stream()
                .flatMap(arm -> arm.pieces().stream())
                .distinct()
                .toList();
        Map<UUID, Figures> found = pieces.figures(ids).stream()
                .collect(Collectors.toMap(each -> each.piece().id(), Function.identity()));
        PieceFacts facts = new PieceFacts(form.factor(), ids);
        return new Design(
                form.factor(),
                form.arms().stream()
                        .map(arm -> new Arm(
                                arm.name(),
                                arm.control(),
                                arm.pieces().stream()
                                        .map(found::get)
                                        .map(facts::of)
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
                    arm.setUp().check();
                    facts.add(facts(lot, form, arm.setUp(), form.parts().get(part)));
                }
            }
            planned.add(new Arm(arm.name(), arm.control(), facts));
        }
        return new Design(form.factor(), planned);
    }

    private Facts facts(Lot lot, TrialForm form, SetUp setUp, int grams) {
        List<Given> given = setUp.treatments().stream().map(treatments::given).toList();
        LocalDate begins = form.hungOn() == null ? workshops.today() : form.hungOn();
        Done done = setUp.method() == null ? Done.FRESH : Done.of(form.factor(), setUp.method(), Coating.NONE, given);
        return facts(
                lot,
                "",
                lot.cut().name(),
                lot.boneIn(),
                grams,
                setUp.isFresh(),
                begins.plusDays(Math.max(setUp.daysBefore(), form.waitsDays())),
                setUp.targetDays() == null ? 0 : setUp.targetDays(),
                Optional.ofNullable(setUp.chamberId())
                        .flatMap(chambers::find)
                        .map(Chamber::name)
                        .orElse(""),
                done,
                words(setUp.benchOrder()),
                List.of());
    }

    /**
     * By what method a piece is aged and what is done to it. A fat seal is the one or the other, never both: a method where
     * methods are compared, else a treatment.
     */
    private record Done(Method method, String treatment) {
        private static final Done FRESH = new Done(Method.VACUUM, Facts.PLAIN);

        private static Done of(Factor factor, Method method, Coating coating, List<Given> given) {
            boolean sealed = method == Method.FAT_SEAL
                    || coating == Coating.FAT_SEAL
                    || given.stream().anyMatch(each -> each.kind() == TreatmentKind.FAT_SEAL);
            boolean asMethod = sealed && factor == Factor.METHOD;
            String words = given.stream()
                    .filter(each -> !asMethod || each.kind() != TreatmentKind.FAT_SEAL)
                    .map(Given::words)
                    .collect(Collectors.joining("; "));
            if (asMethod) {
                return new Done(Method.FAT_SEAL, words.isEmpty() ? Facts.PLAIN : words);
            }
            String coat = sealed ? Coating.FAT_SEAL.label() : coating == Coating.NONE ? Facts.PLAIN : coating.label();
            return new Done(sealed ? Method.OPEN_AIR : method, words.isEmpty() ? coat : words);
        }
    }

    /** Pieces that are there as a design sees them; what they share is read once. */
    private final class PieceFacts {
        private final Factor factor;
        private final Map<UUID, List<Given>> given;
        private final Scents.Air air;
        private final LocalDate today = workshops.today();
        private final HouseClock house = workshops.mine().clock();

        private PieceFacts(Factor factor, Collection<UUID> ids) {
            this.factor = factor;
            given = treated.given(ids);
            air = scents.air(ids);
        }

        /** One that is treated before it hangs is to hang today at the earliest. */
        private Facts of(Figures figures) {
            Piece piece = figures.piece();
            LocalDate hungOn = piece.hungOn().orElse(today);
            int days = figures.log()
                    .pull()
                    .filter(pull -> piece.hungOn().isPresent())
                    .map(pull -> (int) Math.max(0, ChronoUnit.DAYS.between(hungOn, house.day(pull.at()))))
                    .orElse(piece.targetDays().orElse(0));
            List<Given> own = given.getOrDefault(piece.id(), List.of());
            return facts(
                    piece.lot(),
                    piece.tag(),
                    piece.cut().name(),
                    piece.boneIn(),
                    piece.greenGrams(),
                    piece.role() == PieceRole.FRESH,
                    hungOn,
                    days,
                    piece.chamber().map(Chamber::name).orElse(""),
                    piece.method()
                            .map(method -> Done.of(factor, method, piece.coating(), own))
                            .orElse(Done.FRESH),
                    words(piece.benchOrder().orElse(null)),
                    air.beside(piece.id()));
        }
    }

    private static String words(@Nullable BenchOrder order) {
        return order == null ? "" : order.label();
    }

    private static Facts facts(
            Lot lot,
            String tag,
            String cut,
            boolean boneIn,
            int grams,
            boolean fresh,
            LocalDate hungOn,
            int days,
            String chamber,
            Done done,
            String benchOrder,
            List<String> besides) {
        return new Facts(
                tag,
                String.valueOf(lot.number()),
                lot.supplier(),
                lot.grade(),
                cut,
                boneIn,
                lot.fatCoverMm(),
                grams,
                fresh,
                hungOn,
                fresh ? 0 : days,
                chamber,
                done.method(),
                done.treatment(),
                benchOrder,
                besides);
    }

    /** A trial whose pieces are there. */
    Design of(Factor factor, List<TrialArm> arms, Map<UUID, List<Figures>> byArm) {
        PieceFacts facts = new PieceFacts(
                factor,
                byArm.values().stream()
                        .flatMap(List::stream)
                        .map(each -> each.piece().id())
                        .toList());
        return new Design(
                factor,
                arms.stream()
                        .map(arm -> new Arm(
                                arm.name(),
                                arm.control(),
                                byArm.getOrDefault(arm.id(), List.of()).stream()
                                        .map(facts::of)
                                        .toList()))
                        .toList());
    }
}
