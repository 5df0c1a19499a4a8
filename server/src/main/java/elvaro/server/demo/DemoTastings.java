package elvaro.server.demo;

import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.TastingKind;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceHistory;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Ids;
import elvaro.server.tasting.TastingHistory;
import elvaro.server.tasting.TastingHistory.PastSample;
import elvaro.server.tasting.TastingHistory.PastSheet;
import elvaro.server.tasting.TastingHistory.PastTasting;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the invented workshop tasted blind: six people whose tongues are drawn from a seed. */
@Component
class DemoTastings {
    private static final UUID SPACE = new UUID(0x7461_7374_6573L, 1);
    private static final List<String> TASTERS = List.of("Tove", "Anselm", "Rhea", "Bastian", "Odile", "Kester");
    private static final Map<String, Attribute> USUAL = byKey();

    /** How far one tongue's score falls from what the sample is. */
    private static final double TONGUE = 0.9;

    private static final int DAYS_AFTER_THE_PULL = 6;

    /**
     * A sample by its piece's tag.
     *
     * @param worth on the scale of liking, before tongues differ
     * @param words somebody may say of it
     */
    private record Dish(String name, String tag, @Nullable String arm, double worth, double core, List<String> words) {}

    private record Evening(
            String question,
            @Nullable String trial,
            TastingKind kind,
            int rounds,
            List<String> scored,
            List<Dish> dishes,
            boolean over) {}

    private static final List<Evening> EVENINGS = List.of(
            new Evening(
                    "Is the honey coat liked more than plain?",
                    "Does a buckwheat-honey coat change shrink or taste over 38 days?",
                    TastingKind.PAIRED,
                    1,
                    List.of("liking", "tenderness", "treatment"),
                    List.of(
                            new Dish(
                                    "Honey",
                                    "2B",
                                    "Honey",
                                    4.4,
                                    54.5,
                                    List.of("sweet, nutty", "caramel", "too sweet outside")),
                            new Dish("Plain", "2A", "Plain", 5.6, 55, List.of("nutty", "beefy, clean", "buttery"))),
                    true),
            new Evening(
                    "Porcini rub or plain?",
                    "Porcini rub against plain, 26 days",
                    TastingKind.PAIRED,
                    1,
                    List.of("liking", "aged", "salt"),
                    List.of(
                            new Dish(
                                    "Porcini",
                                    "3A",
                                    "Porcini",
                                    6.6,
                                    55.5,
                                    List.of("mushroom, nutty", "forest floor", "mushroom")),
                            new Dish("Plain", "3B", "Plain", 4.2, 55, List.of("beefy", "nutty"))),
                    true),
            new Evening(
                    "Room or locker: does anybody taste it?",
                    "North Room against Stone Locker, same cut, 40 days",
                    TastingKind.PAIRED,
                    2,
                    List.of(),
                    List.of(
                            new Dish("North Room", "8A", "North Room", 5, 54, List.of("blue cheese, nutty")),
                            new Dish("Stone Locker", "8B", "Stone Locker", 5, 57, List.of("blue cheese"))),
                    true),
            new Evening(
                    "Which crust for the counter?",
                    null,
                    TastingKind.RANKING,
                    1,
                    List.of("liking"),
                    List.of(
                            new Dish("Plain", "2D", null, 5, 55, List.of("beefy")),
                            new Dish("Porcini", "3D", null, 6.3, 55, List.of("mushroom", "nutty, deep")),
                            new Dish("Honey", "2C", null, 4.2, 55, List.of("sweet")),
                            new Dish("Stout cloth", "5B", null, 4.6, 54.5, List.of("bitter, malty"))),
                    true),
            new Evening(
                    "Two sessions of beech smoke or five?",
                    "Beech smoke on a mutton saddle: two sessions against five",
                    TastingKind.PAIRED,
                    1,
                    List.of("liking", "treatment"),
                    List.of(
                            new Dish("Two sessions", "6A", "Two sessions", 5.4, 55, List.of("smoky, sweet")),
                            new Dish("Five sessions", "6B", "Five sessions", 4.9, 55.5, List.of("smoky, harsh"))),
                    false));

    private final PieceHistory pieces;
    private final TastingHistory tastings;
    private final WorkshopService workshops;
    private final Clock clock;

    DemoTastings(PieceHistory pieces, TastingHistory tastings, WorkshopService workshops, Clock clock) {
        this.pieces = pieces;
        this.tastings = tastings;
        this.workshops = workshops;
        this.clock = clock;
    }

    private static Map<String, Attribute> byKey() {
        Map<String, Attribute> usual = new HashMap<>();
        Attribute.USUAL.forEach(attribute -> usual.put(attribute.key(), attribute));
        return usual;
    }

    void fill(Random random) {
        Map<String, Piece> byTag = pieces.byTag();
        for (Evening evening : EVENINGS) {
            UUID id = Ids.after(SPACE, evening.question());
            tastings.add(
                    new PastTasting(
                            id,
                            evening.question(),
                            evening.kind(),
                            evening.rounds(),
                            evening.scored().stream().map(USUAL::get).toList(),
                            random.nextLong(),
                            evening.trial() == null ? null : DemoTrials.trial(evening.trial()),
                            55,
                            "salt, 0.8 %, after the sear",
                            evening.over() ? heldOn(evening, byTag) : workshops.today(),
                            evening.dishes().stream()
                                    .map(dish -> sample(evening, dish, byTag))
                                    .toList(),
                            TASTERS,
                            IntStream.range(0, TASTERS.size())
                                    .mapToObj(taster -> sheets(evening, taster, random))
                                    .toList(),
                            evening.over()),
                    workshops.mine().clock(),
                    evening.over() ? null : clock.instant().minus(Duration.ofMinutes(25)));
        }
    }

    /** Some days after the last of its pieces was to be pulled. */
    private LocalDate heldOn(Evening evening, Map<String, Piece> byTag) {
        LocalDate last = evening.dishes().stream()
                .map(dish -> byTag.get(dish.tag()))
                .map(piece ->
                        piece.hungOn().orElseThrow().plusDays(piece.targetDays().orElseThrow() + DAYS_AFTER_THE_PULL))
                .max(Comparator.naturalOrder())
                .orElseThrow();
        LocalDate yesterday = workshops.today().minusDays(1);
        return last.isAfter(yesterday) ? yesterday : last;
    }

    private static PastSample sample(Evening evening, Dish dish, Map<String, Piece> byTag) {
        UUID arm = evening.trial() == null || dish.arm() == null ? null : DemoTrials.arm(evening.trial(), dish.arm());
        return new PastSample(dish.name(), byTag.get(dish.tag()).id(), arm, 30, false, dish.core());
    }

    /** Of the tasting that still goes on two sheets are missing. */
    private static List<PastSheet> sheets(Evening evening, int taster, Random random) {
        List<PastSheet> rounds = new ArrayList<>();
        for (int round = 0; round < evening.rounds(); round++) {
            PastSheet sheet = sheet(evening, random);
            if (evening.over() || taster < TASTERS.size() - 2) {
                rounds.add(sheet);
            }
        }
        return rounds;
    }

    private static PastSheet sheet(Evening evening, Random random) {
        List<Dish> dishes = evening.dishes();
        double[] felt = dishes.stream()
                .mapToDouble(dish -> dish.worth() + TONGUE * random.nextGaussian())
                .toArray();
        Map<String, Map<Integer, Integer>> scores = new HashMap<>();
        for (String key : evening.scored()) {
            Map<Integer, Integer> values = new HashMap<>();
            for (int dish = 0; dish < felt.length; dish++) {
                double about = key.equals(Attribute.LIKING) ? felt[dish] : 4 + TONGUE * random.nextGaussian();
                values.put(dish, (int) Math.max(Attribute.LEAST, Math.min(Attribute.MOST, Math.round(about))));
            }
            scores.put(key, values);
        }
        Map<Integer, Integer> ranks = new HashMap<>();
        Map<Integer, String> words = new HashMap<>();
        int best = 0;
        for (int dish = 0; dish < felt.length; dish++) {
            double own = felt[dish];
            ranks.put(
                    dish,
                    1
                            + (int) java.util.Arrays.stream(felt)
                                    .filter(other -> other > own)
                                    .count());
            best = felt[dish] > felt[best] ? dish : best;
            List<String> sayable = dishes.get(dish).words();
            if (random.nextBoolean()) {
                words.put(dish, sayable.get(random.nextInt(sayable.size())));
            }
        }
        boolean ranked = evening.kind() == TastingKind.RANKING;
        return new PastSheet(ranked ? null : best, ranked ? ranks : Map.of(), scores, words, false);
    }
}
