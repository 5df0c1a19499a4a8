package elvaro.core.rehearsal;

import static elvaro.core.working.Quantity.temperature;

import elvaro.core.air.ChamberKind;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.keeping.Excursions;
import java.util.List;
import java.util.Set;

/** The course, in its order: each lesson some ten minutes long, passed by doing. */
public enum RehearsalLesson {
    ONE_STEAK(
            "One steak is not a loin",
            "Age a single steak for 21 days, weigh it each week, cut it, and see what is left of it.",
            "A steak is all outside: the crust takes what a whole loin hardly notices. Age whole muscles.",
            new Piece("beef-steak", 500, false, 0, Method.MEMBRANE, Coating.NONE, ChamberKind.REFRIGERATOR, 21)),
    THE_BAG(
            "The bag that let go",
            "Look at the membrane as often as you would at home, and do what has to be done.",
            "Where the film does not touch, meat rots in still, damp air. It shows before it smells: look twice a week,"
                    + " and seal at once.",
            new Piece("strip", 5000, false, 0, Method.MEMBRANE, Coating.NONE, ChamberKind.REFRIGERATOR, 35),
            Mishap.CONTACT_LIFTS),
    DRY_ROOM(
            "The room that ran dry",
            "Keep the loss of a strip loin where it should be.",
            "A dry room costs weight and makes leather. The hygrometer tells it weeks before the bench does.",
            new Piece("strip", 6000, false, 4, Method.OPEN_AIR, Coating.NONE, ChamberKind.CABINET, 28),
            Mishap.RUNS_DRY),
    DEAD_MACHINE(
            "The night the machine stopped",
            "Something happens to the cabinet. Decide what becomes of the meat.",
            "Warm meat is decided by its hours above %s. Caught the same day it goes on; found days later it goes away."
                    .formatted(temperature((int) Excursions.LIMIT_CELSIUS)),
            new Piece("strip", 6000, false, 4, Method.OPEN_AIR, Coating.NONE, ChamberKind.CABINET, 28),
            Mishap.COMPRESSOR_FAILS),
    STILL_AIR(
            "The fan that stood",
            "A clean room would forgive more than this one. Keep the mould away.",
            "Foreign mould wants still, damp air. Moving air is cheaper than meat.",
            new Piece("rib-bone-in", 6000, true, 6, Method.OPEN_AIR, Coating.NONE, ChamberKind.CABINET, 30),
            Mishap.FAN_OFF,
            Mishap.DIRTY_ROOM),
    WHITE_BLOOM(
            "White, and the others",
            "Age it for 45 days. Something will grow. Decide what it is.",
            "White powder on a dry crust is trimmed away with it. Thrown away for it, the piece is a loss for nothing.",
            new Piece("rib-bone-in", 6500, true, 6, Method.OPEN_AIR, Coating.NONE, ChamberKind.WALK_IN, 45)),
    OPEN_CUT(
            "The cut on the underside",
            "Turn what you hang, and look where nobody looks.",
            "Damp stays in a fold. Trimmed even on the first day it costs a few grams.",
            new Piece("strip", 5000, false, 0, Method.OPEN_AIR, Coating.NONE, ChamberKind.CABINET, 28),
            Mishap.FOLD_LEFT),
    GARLIC(
            "Garlic under a cloth",
            "A cloth with stout, juniper and raw garlic lies about the piece. Keep what can be kept.",
            "Raw herbs under a wet cloth feed what must not grow. Flavour at the table costs nothing.",
            new Piece("strip", 4000, false, 0, Method.OPEN_AIR, Coating.CLOTH, ChamberKind.CABINET, 29),
            Mishap.RAW_GARLIC),
    FAT_SEAL(
            "What the seal cost",
            "A rib sealed in fat loses next to nothing on the scale. Open it after 35 days.",
            "A closed pocket holds oxygen without moving air and rots unseen. The scale does not tell it; the bench does.",
            new Piece("rib-bone-in", 4900, true, 5, Method.FAT_SEAL, Coating.NONE, ChamberKind.WALK_IN, 35)),
    NEIGHBOUR(
            "Spirit next door",
            "Something is hung beside your piece. Use your nose.",
            "Spirits scent everything about them for weeks. They want a refrigerator of their own.",
            new Piece("strip", 5000, false, 4, Method.OPEN_AIR, Coating.NONE, ChamberKind.CABINET, 30),
            Mishap.NEIGHBOUR_SCENTS),
    PROVED_NOTHING(
            "The trial that proved nothing",
            "They say that a salt tray keeps more weight in the meat. One piece was tried against one, and it did. A loin"
                    + " waits: make a trial of it, as many pieces as it takes, and say what it shows.",
            "Two alike differ by as much. Name the measure beforehand, hang several in each arm, and say no more than is"
                    + " shown.",
            LessonWork.TRIAL,
            new Piece("strip", 9000, false, 0, Method.OPEN_AIR, Coating.NONE, ChamberKind.CABINET, 21)),
    THREE_TASTERS(
            "Three tasters",
            "Three friends ate of two loins, and all three liked the second better. Is it? Set a blind table, with as many"
                    + " tasters as it takes, and say what it shows.",
            "Three of three comes by chance one time in four. Ask a dozen or more, blind, before anything is changed for it.",
            LessonWork.TASTING,
            new Piece("strip", 4000, false, 0, Method.OPEN_AIR, Coating.NONE, ChamberKind.CABINET, 28)),
    WARM_WEEK(
            "The deer in a warm week",
            "A haunch hangs in a shed. Decide each day whether it stays.",
            "Game starts dirtier and sours from the bone. In a warm week it comes down early.",
            new Piece("deer-haunch", 6000, true, 0, Method.OPEN_AIR, Coating.NONE, ChamberKind.SHED, 10),
            Mishap.HOT_SPELL),
    FORGOTTEN(
            "Forgotten for 139 days",
            "A syrup-coated rib was to hang for 38 days. You find it on day 139.",
            "Longer is not better for ever: there is little left to cut, and some of it has turned.",
            new Piece("rib-bone-in", 2200, true, 5, Method.OPEN_AIR, Coating.SYRUP, ChamberKind.CABINET, 38));

    /** Day on which the forgotten one is found. */
    private static final int FOUND = 139;

    /** Days that two pieces hung which can be told apart. */
    private static final int BRIEFLY = 10;

    private static final int LONG = 45;

    private final String title;
    private final String task;
    private final String moral;
    private final LessonWork work;
    private final Piece piece;
    private final Set<Mishap> mishaps;

    private record Piece(
            String cut,
            int grams,
            boolean boneIn,
            int fatCoverMm,
            Method method,
            Coating coating,
            ChamberKind place,
            int days) {}

    RehearsalLesson(String title, String task, String moral, Piece piece, Mishap... mishaps) {
        this(title, task, moral, LessonWork.PIECE, piece, mishaps);
    }

    RehearsalLesson(String title, String task, String moral, LessonWork work, Piece piece, Mishap... mishaps) {
        this.title = title;
        this.task = task;
        this.moral = moral;
        this.work = work;
        this.piece = piece;
        this.mishaps = Set.of(mishaps);
    }

    public String title() {
        return title;
    }

    /** What is asked. */
    public String task() {
        return task;
    }

    /** What it teaches, told when it is over. */
    public String moral() {
        return moral;
    }

    public LessonWork work() {
        return work;
    }

    /** In every second world there is something to find. */
    private static boolean isAlike(long seed) {
        return seed % 2 == 0;
    }

    /** The two that are tasted, of the one house. */
    public List<RehearsalPlan> tasted(long seed) {
        RehearsalPlan plan = plan(seed);
        return isAlike(seed)
                ? List.of(plan, plan.piece(1, plan.greenGrams(), plan.method(), plan.plannedDays()))
                : List.of(
                        plan.piece(0, plan.greenGrams(), plan.method(), BRIEFLY),
                        plan.piece(1, plan.greenGrams(), plan.method(), LONG));
    }

    private ChamberKind place(long seed) {
        // A tray keeps what a dry refrigerator would draw, and does nothing in a room that is damp already.
        return this == PROVED_NOTHING && !isAlike(seed) ? ChamberKind.REFRIGERATOR : piece.place;
    }

    private int beginsOnDay() {
        return switch (this) {
            case FORGOTTEN -> FOUND;
            case THREE_TASTERS -> LONG + 1;
            default -> 0;
        };
    }

    /** In which world. */
    public RehearsalPlan plan(long seed) {
        return new RehearsalPlan(
                CutCatalogue.get(piece.cut),
                piece.grams,
                piece.boneIn,
                piece.fatCoverMm,
                piece.method,
                piece.coating,
                place(seed),
                piece.days,
                beginsOnDay(),
                mishaps,
                seed);
    }
}
