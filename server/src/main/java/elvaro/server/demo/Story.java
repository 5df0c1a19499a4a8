package elvaro.server.demo;

import elvaro.core.air.Vapour;
import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.CrustLaw;
import elvaro.core.drying.Method;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.Kind;
import elvaro.core.ledger.Piles;
import elvaro.core.ledger.Stream;
import elvaro.core.yield.Section;
import elvaro.server.demo.Scenario.Bought;
import elvaro.server.demo.Scenario.Hung;
import elvaro.server.demo.Scenario.Reached;
import elvaro.server.demo.Scenario.Room;
import elvaro.server.piece.LogEntry;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What happened to one piece, worked out by core's drying and crust laws with seeded noise, and written as the log would
 * have been. Resistances: film at 2 °C and 0.5 m/s 478.1, surface 200, membrane, coat and seal by the reference,
 * section 3.
 */
final class Story {
    private static final double FILM_AND_SURFACE = 478.1 + 200;
    private static final int DIVISION = 5;
    private static final List<Integer> FIRST_WEIGHINGS = List.of(1, 3, 7);

    private final Bought lot;
    private final Hung piece;
    private final Room room;
    private final UUID pieceId;
    private final int green;
    private final Instant hungAt;
    private final List<UUID> people;
    private final Random random;
    private final double personality;
    private final List<LogEntry> log = new ArrayList<>();

    Story(
            Bought lot,
            Hung piece,
            Room room,
            UUID pieceId,
            int green,
            LocalDate hungOn,
            ZoneId zone,
            List<UUID> people,
            Random random) {
        this.lot = lot;
        this.piece = piece;
        this.room = room;
        this.pieceId = pieceId;
        this.green = green;
        this.hungAt = hungOn.atTime(8, 20).atZone(zone).toInstant();
        this.people = people;
        this.random = random;
        this.personality = Math.exp(random.nextGaussian() * 0.12);
    }

    /** Tells the story up to {@code daysAgo} days after the hanging, and no further than the scenario says. */
    List<LogEntry> tell() {
        int coat = piece.coatGrams();
        if (coat > 0) {
            write(Kind.COAT_ON, 0.01, coat, null, "");
        }
        if (!piece.note().isEmpty()) {
            write(
                    Kind.NOTE,
                    piece.leak() || piece.spoiled() ? Math.min(piece.days(), 16) : 0.02,
                    0,
                    null,
                    piece.note());
        }
        int pulledAfter = piece.days() + (piece.reached() == Reached.CUT ? random.nextInt(3) : 0);
        int last = piece.reached() == Reached.HANGING ? lot.daysAgo() : pulledAfter - 1;
        weighUntil(last, coat);
        if (piece.reached() == Reached.HANGING) {
            return log;
        }
        int aged = weightAfter(pulledAfter);
        write(Kind.PULLED, pulledAfter + 0.05, aged + coat, null, "");
        if (piece.reached() == Reached.CUT) {
            cut(pulledAfter, aged, coat);
        }
        return log;
    }

    private void weighUntil(int last, int coat) {
        int previous = green;
        for (int day = 1; day <= last; day = next(day)) {
            boolean forgotten = piece.reached() == Reached.HANGING && day > last - 7 && random.nextInt(5) < 2;
            if (forgotten || (day == last && piece.reached() == Reached.HANGING && random.nextBoolean())) {
                continue;
            }
            int weight = Math.min(previous, weightAfter(day + random.nextDouble() * 0.2));
            previous = weight;
            write(Kind.WEIGHED, day + random.nextDouble() * 0.15, weight + coat, null, "");
        }
        if (piece.leak()) {
            correctLastWeighing(coat);
        }
    }

    private static int next(int day) {
        return FIRST_WEIGHINGS.stream().filter(each -> each > day).findFirst().orElse(day - day % 7 + 7);
    }

    /** One slip of the pen, mended the way the log mends them. */
    private void correctLastWeighing(int coat) {
        LogEntry last = log.get(log.size() - 1);
        LogFact wrong = new LogFact(
                Scenario.id(random), null, Kind.WEIGHED, last.happenedAt().plus(Duration.ofHours(20)), 5320, null);
        LogFact right = new LogFact(
                Scenario.id(random), wrong.id(), Kind.WEIGHED, wrong.at(), last.grams() - DIVISION - coat, null);
        log.add(new LogEntry(pieceId, wrong, "", wrong.at(), people.get(1)));
        log.add(new LogEntry(
                pieceId, right, "That was its twin.", wrong.at().plus(Duration.ofMinutes(3)), people.get(1)));
    }

    private void cut(int day, int aged, int coat) {
        if (coat > 0) {
            write(Kind.COAT_OFF, day + 0.06, onScale(coat * 0.97), null, "");
        }
        int weight = coat > 0 ? aged + coat - onScale(coat * 0.97) : aged;
        double at = day + 0.07;
        if (piece.spoiled()) {
            write(Kind.PILE, at, weight, Stream.DISCARD, "Sour, all of it.");
        } else {
            Section expected = Section.expected(
                    catalogue(), lot.boneIn(), lot.fatMm(), piece.method(), new Ledger(green, 0, weight, Piles.NONE));
            pile(Stream.FAT, at + 0.002, expected.fat());
            pile(Stream.BONE, at + 0.004, expected.bone());
            double useful = piece.method() == Method.FAT_SEAL ? 0.25 : 0.5;
            pile(Stream.USABLE_TRIM, at + 0.006, expected.crust() * useful);
            pile(Stream.DISCARD, at + 0.008, expected.crust() * (1 - useful));
            int piled = log.stream()
                    .filter(entry -> entry.kind() == Kind.PILE)
                    .mapToInt(LogEntry::grams)
                    .sum();
            write(Kind.PILE, at + 0.01, onScale(weight - piled - random.nextInt(20)), Stream.STEAK, "");
        }
        write(Kind.CLOSED, at + 0.02, 0, null, "");
    }

    private void pile(Stream stream, double day, double share) {
        int grams = onScale(green * share * Math.exp(random.nextGaussian() * 0.12));
        if (grams > 0) {
            write(Kind.PILE, day, grams, stream, "");
        }
    }

    private Cut catalogue() {
        return CutCatalogue.get(lot.cut());
    }

    private int weightAfter(double days) {
        if (piece.method() == Method.ON_ICE) {
            return onScale(green);
        }
        if (piece.method() == Method.VACUUM) {
            return onScale(green * (1 - 0.015 * days / 21));
        }
        double coat = piece.method() == Method.FAT_SEAL ? 1000 : piece.syrup() ? 50 : 0;
        double membrane = piece.method() == Method.MEMBRANE && !piece.leak() ? 180 / 0.85 : 0;
        double humidity = room.humidityPercent() / 100.0;
        if (piece.method() == Method.SALT_TRAY) {
            humidity += 0.6 * (0.755 - humidity);
        }
        double drive = ((piece.syrup() ? 0.90 : 0.99) - humidity) * Vapour.saturationPascal(room.celsius());
        CrustLaw law = new CrustLaw(
                (FILM_AND_SURFACE + membrane + coat) * personality, CrustLaw.CRUST_RESISTIVITY * personality);
        double lost =
                law.lostPerSquareMetre(drive, days) * catalogue().surface().squareMetres(green) * 1000;
        return onScale(green - lost * 0.85);
    }

    private static int onScale(double grams) {
        return (int) Math.round(grams / DIVISION) * DIVISION;
    }

    private void write(Kind kind, double day, int grams, @Nullable Stream stream, String words) {
        Instant at = hungAt.plusSeconds(Math.round(day * 86_400));
        LogFact fact = new LogFact(Scenario.id(random), null, kind, at, grams, stream);
        UUID by = people.get(random.nextInt(people.size()));
        log.add(new LogEntry(pieceId, fact, words, at.plusSeconds(20 + random.nextInt(40)), by));
    }
}
