package elvaro.server.demo;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.drying.Parameters;
import elvaro.core.drying.WaterLoss;
import elvaro.core.estimate.Estimates;
import elvaro.core.ledger.DiscardCause;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.Stream;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Section;
import elvaro.core.yield.TrimModel;
import elvaro.server.demo.Scenario.Bought;
import elvaro.server.demo.Scenario.DemoPiece;
import elvaro.server.demo.Scenario.DemoProgress;
import elvaro.server.piece.LogEntry;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What happened to one piece, worked out by core's own drying and crust models with seeded noise, and written as the log
 * would have been.
 */
final class Story {
    /** What rots in a closed pocket under a seal. */
    private static final double POCKET_SHARE = 0.22;

    private static final int DIVISION = 5;
    private static final List<Integer> FIRST_WEIGHINGS = List.of(1, 3, 7);

    /** The day a loose film lets go, or a piece comes to hang where no air moves. */
    private static final double TURN = 12;

    private static final Air BEHIND_THE_DOOR = new Air(2, 0.93, 0.1);

    /** How the chambers differ from what one would expect of them, which is for the forecast to learn. */
    private static final Map<String, Parameters> PLACES = Map.of(
            "N", new Parameters(0.16, -0.10),
            "S", new Parameters(-0.12, 0.10),
            "P", new Parameters(0.10, 0.05),
            "G", new Parameters(0.05, 0),
            "L", Parameters.NONE);

    private final Bought lot;
    private final DemoPiece piece;
    private final UUID pieceId;
    private final int green;
    private final Instant hungAt;
    private final List<UUID> people;
    private final Random random;
    private final WaterLoss loss;
    private final WaterLoss afterTurn;
    private final Parameters truth;
    private final TrimModel trimModel;
    private final List<LogEntry> log = new ArrayList<>();

    Story(
            Bought lot,
            DemoPiece piece,
            Hanging hanging,
            Air air,
            UUID pieceId,
            Instant hungAt,
            List<UUID> people,
            Random random) {
        this.lot = lot;
        this.piece = piece;
        this.pieceId = pieceId;
        this.green = hanging.greenGrams();
        this.hungAt = hungAt;
        this.people = people;
        this.random = random;
        Climate climate = Climate.constant(air);
        Hanging open = new Hanging(
                green, hanging.surface(), hanging.boneIn(), Method.OPEN_AIR, hanging.coating(), hanging.contact());
        this.loss = hanging.dryingIn(climate);
        this.afterTurn = piece.leak()
                ? open.dryingIn(climate)
                : piece.stalled() ? hanging.dryingIn(Climate.constant(BEHIND_THE_DOOR)) : loss;
        Parameters place = PLACES.getOrDefault(piece.room(), Parameters.NONE);
        this.truth = new Parameters(
                place.resistance() + random.nextGaussian() * Estimates.PIECE_SHARE * Estimates.RESISTANCE_SD / 2,
                place.crust() + random.nextGaussian() * Estimates.PIECE_SHARE * Estimates.CRUST_SD / 2);
        this.trimModel = TrimModel.of(CutCatalogue.get(lot.cut()), hanging, lot.fatMm(), BenchOrder.SLICE_FIRST);
    }

    /** Tells the story as far as the scenario says. */
    List<LogEntry> tell() {
        int coat = piece.coatGrams();
        if (coat > 0) {
            write(LogFactKind.COAT_ON, 0.01, coat, null, "");
        }
        if (!piece.note().isEmpty()) {
            double day = piece.leak() || piece.spoiled() ? Math.min(piece.days(), 16) : 0.02;
            write(LogFactKind.NOTE, day, 0, null, piece.note());
        }
        int pulledAfter = piece.days() + (piece.reached() == DemoProgress.CUT ? random.nextInt(3) : 0);
        int last = piece.reached() == DemoProgress.HANGING ? lot.daysAgo() : pulledAfter - 1;
        weighUntil(last, coat);
        if (piece.reached() == DemoProgress.HANGING) {
            return log;
        }
        int aged = weightAfter(pulledAfter + 0.05);
        write(LogFactKind.PULLED, pulledAfter + 0.05, aged + coat, null, "");
        if (piece.reached() == DemoProgress.CUT) {
            cut(pulledAfter, aged, coat);
        }
        return log;
    }

    private void weighUntil(int last, int coat) {
        int previous = green;
        for (int day = 1; day <= last; day = next(day)) {
            boolean forgotten = piece.reached() == DemoProgress.HANGING && day > last - 7 && random.nextInt(5) < 2;
            if (forgotten || (day == last && piece.reached() == DemoProgress.HANGING && random.nextBoolean())) {
                continue;
            }
            double at = day + random.nextDouble() * 0.15;
            int weight = Math.min(previous, weightAfter(at));
            previous = weight;
            write(LogFactKind.WEIGHED, at, weight + coat, null, "");
        }
        if (piece.leak() && piece.reached() == DemoProgress.CUT) {
            correctLastWeighing(coat);
        }
    }

    private static final double ENDS_SHARE = 0.08;
    private static final int STEAK_GRAMS = 340;

    private static int next(int day) {
        return FIRST_WEIGHINGS.stream().filter(each -> each > day).findFirst().orElse(day - day % 7 + 7);
    }

    /** One slip of the pen, mended the way the log mends them. */
    private void correctLastWeighing(int coat) {
        LogEntry last = log.get(log.size() - 1);
        LogFact wrong = new LogFact(
                Scenario.id(random),
                null,
                LogFactKind.WEIGHED,
                last.happenedAt().plus(Duration.ofHours(20)),
                5320,
                null);
        LogFact right = new LogFact(
                Scenario.id(random), wrong.id(), LogFactKind.WEIGHED, wrong.at(), last.grams() - DIVISION - coat, null);
        log.add(new LogEntry(pieceId, wrong, "", wrong.at(), people.get(1)));
        log.add(new LogEntry(
                pieceId, right, "That was its twin.", wrong.at().plus(Duration.ofMinutes(3)), people.get(1)));
    }

    private void cut(int day, int aged, int coat) {
        if (coat > 0) {
            write(LogFactKind.COAT_OFF, day + 0.06, onScale(coat * 0.97), null, "");
        }
        int weight = coat > 0 ? aged + coat - onScale(coat * 0.97) : aged;
        double at = day + 0.07;
        if (piece.spoiled()) {
            discard(at, weight, DiscardCause.SMELL, "Sour, all of it.");
        } else {
            Section expected = trimModel.after(1 - (double) weight / green);
            pile(Stream.FAT, at + 0.002, expected.fat());
            pile(Stream.BONE, at + 0.004, expected.bone());
            boolean sealed = piece.method() == Method.FAT_SEAL;
            double useful = sealed ? 0.05 : Estimates.USABLE_SHARE_OF_CRUST;
            pile(Stream.USABLE_TRIM, at + 0.006, expected.crust() * useful);
            double crust = expected.crust() * (1 - useful);
            if (sealed) {
                double rot = (crust + POCKET_SHARE) * Math.exp(random.nextGaussian() * 0.12);
                discard(at + 0.008, onScale(green * rot), DiscardCause.ROT, "Soft, in the pocket by the bone.");
            } else {
                pile(Stream.DISCARD, at + 0.008, crust);
            }
            int piled = log.stream()
                    .filter(entry -> entry.kind() == LogFactKind.PILE)
                    .mapToInt(LogEntry::grams)
                    .sum();
            steaks(at + 0.01, onScale(weight - piled - random.nextInt(20)));
        }
        write(LogFactKind.CLOSED, at + 0.02, 0, null, "");
    }

    private void discard(double day, int grams, DiscardCause cause, String words) {
        log(LogFactKind.PILE, day, grams, Stream.DISCARD, null, cause, words);
    }

    /** The ends as a roast, the rest as steaks of about this weight. */
    private void steaks(double day, int grams) {
        int ends = onScale(grams * ENDS_SHARE);
        int count = Math.max(1, (grams - ends) / STEAK_GRAMS);
        write(LogFactKind.PILE, day, ends, Stream.STEAK, 0, "");
        write(LogFactKind.PILE, day + 0.002, grams - ends, Stream.STEAK, count, "");
    }

    private void pile(Stream stream, double day, double share) {
        int grams = onScale(green * share * Math.exp(random.nextGaussian() * 0.12));
        if (grams > 0) {
            write(LogFactKind.PILE, day, grams, stream, "");
        }
    }

    private int weightAfter(double days) {
        boolean turned = afterTurn != loss && days > TURN;
        double lost = loss.on(turned ? TURN : days, truth).fraction();
        if (turned) {
            lost += afterTurn.on(days, truth).fraction()
                    - afterTurn.on(TURN, truth).fraction();
        }
        double noise = random.nextGaussian() * Estimates.WEIGHING_SD / 2;
        return onScale(green * (1 - lost + noise));
    }

    private static int onScale(double grams) {
        return (int) Math.round(grams / DIVISION) * DIVISION;
    }

    private void write(LogFactKind kind, double day, int grams, @Nullable Stream stream, String words) {
        write(kind, day, grams, stream, null, words);
    }

    private void write(
            LogFactKind kind, double day, int grams, @Nullable Stream stream, @Nullable Integer steaks, String words) {
        log(kind, day, grams, stream, steaks, null, words);
    }

    private void log(
            LogFactKind kind,
            double day,
            int grams,
            @Nullable Stream stream,
            @Nullable Integer steaks,
            @Nullable DiscardCause cause,
            String words) {
        Instant at = hungAt.plusSeconds(Math.round(day * 86_400));
        LogFact fact = new LogFact(Scenario.id(random), null, kind, at, grams, stream, steaks, cause, false);
        UUID by = people.get(random.nextInt(people.size()));
        log.add(new LogEntry(pieceId, fact, words, at.plusSeconds(20 + random.nextInt(40)), by));
    }
}
