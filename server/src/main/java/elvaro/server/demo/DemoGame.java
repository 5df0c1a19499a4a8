package elvaro.server.demo;

import elvaro.core.game.Animal;
import elvaro.core.game.Part;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.Stream;
import elvaro.server.carcass.CarcassHistory;
import elvaro.server.carcass.CarcassHistory.PastAnimal;
import elvaro.server.hanging.EntryForm;
import elvaro.server.hanging.LogService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Game of the invented workshop: a deer that waits for its test, a roe half broken down, a goose racked, one on ice. */
@Component
class DemoGame {
    private static final double AUTUMN_CELSIUS = 9;

    private final CarcassHistory carcasses;
    private final LogService log;
    private final Clock clock;

    DemoGame(CarcassHistory carcasses, LogService log, Clock clock) {
        this.carcasses = carcasses;
        this.log = log;
        this.clock = clock;
    }

    /** @param chamber id of a chamber by its name */
    void fill(UnaryOperator<String> chamber, Random random) {
        UUID larder = UUID.fromString(chamber.apply("Game larder"));
        UUID chest = UUID.fromString(chamber.apply("Long chest"));
        UUID fallow = come(
                random,
                Animal.FALLOW_DEER,
                "S-131",
                9,
                "north ride",
                41_300,
                true,
                "high shoulder",
                larder,
                null,
                true);
        Instant killed = clock.instant().minus(Duration.ofHours(9));
        carcasses.measured(fallow, Scenario.id(random), killed.plus(Duration.ofMinutes(80)), 33.5);
        carcasses.measured(fallow, Scenario.id(random), killed.plus(Duration.ofMinutes(290)), 20.5);
        carcasses.measured(fallow, Scenario.id(random), killed.plus(Duration.ofMinutes(500)), 12.6);
        come(
                random,
                Animal.GOOSE,
                "M-17",
                30,
                "decoy pool",
                3_120,
                false,
                "shot, two in the wing",
                larder,
                null,
                false);
        come(
                random,
                Animal.ROE_DEER,
                "S-133",
                16,
                "alder wood",
                14_800,
                false,
                "behind the shoulder",
                chest,
                AUTUMN_CELSIUS,
                false);
        UUID roe = come(
                random,
                Animal.ROE_DEER,
                "S-129",
                44,
                "alder wood",
                17_900,
                true,
                "through the ribs",
                larder,
                null,
                false);
        write(random, roe, LogFactKind.PULLED, 17_700, null, "");
        write(random, roe, LogFactKind.PILE, 4_300, Stream.DISCARD, "skin, head and feet");
        carcasses.cutOff(roe, Scenario.id(random), Part.LEFT_HAUNCH, 2_460);
        carcasses.cutOff(roe, Scenario.id(random), Part.RIGHT_HAUNCH, 2_395);
        carcasses.cutOff(roe, Scenario.id(random), Part.TENDERLOINS, 210);
    }

    private UUID come(
            Random random,
            Animal animal,
            String tag,
            int hoursAgo,
            String place,
            int grams,
            boolean fieldDressed,
            String wound,
            UUID chamber,
            @Nullable Double outside,
            boolean awaitsTest) {
        UUID id = Scenario.id(random);
        Instant killed = clock.instant().minus(Duration.ofHours(hoursAgo));
        String supplier = animal == Animal.GOOSE ? "Marsh Decoy" : "Sallow Estate";
        carcasses.receive(new PastAnimal(
                id,
                animal,
                tag,
                killed,
                place,
                grams,
                fieldDressed,
                wound,
                supplier,
                chamber,
                animal.fewestDays() + 1,
                outside,
                !awaitsTest,
                awaitsTest));
        return id;
    }

    private void write(Random random, UUID piece, LogFactKind kind, int grams, @Nullable Stream stream, String words) {
        log.write(
                piece,
                Scenario.id(random),
                new EntryForm(kind, grams, stream, words, null, null, Map.of("surprising", "", "fell-fast", "")));
    }
}
