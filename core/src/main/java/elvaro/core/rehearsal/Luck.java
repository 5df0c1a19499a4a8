package elvaro.core.rehearsal;

import java.util.EnumMap;
import java.util.Map;
import java.util.Random;

/**
 * What nobody knows of one piece in one room. Each is drawn from a stream of its own, so that one choice changed leaves all
 * the rest as it was. Spreads are engineering estimates (EST).
 */
final class Luck {
    /** log₁₀ of bacteria per cm² on meat from a clean slaughter, and on what was shot and drawn outside. */
    private static final double SLAUGHTERED = 2.8;

    private static final double SHOT = 3.9;

    /** Pieces cut from one animal are much alike; the squares add up to 1. */
    private static final double OF_ITS_ANIMAL = 0.85;

    private static final double OF_ITS_OWN = Math.sqrt(1 - OF_ITS_ANIMAL * OF_ITS_ANIMAL);

    private final RehearsalPlan plan;
    private final Map<Mishap, Double> begins = new EnumMap<>(Mishap.class);

    /** Factors on the surface, on how water moves in the meat, and on how it leaves the surface. */
    final double surface;

    final double diffusion;
    final double film;

    /** Share of water in the lean as hung. */
    final double water;

    /** log₁₀ of bacteria per cm² as hung. */
    final double bacteria;

    /** Share of the surface under foreign mould as hung, as if it had grown already. */
    final double spores;

    /** What runs in the room for what it is set to: K, and points of humidity as a fraction. */
    final double warmer;

    final double damper;

    /** What a probe shows too much. */
    final double probeOff;

    /** Where in its day the outside temperature stands, 0–1. */
    final double weather;

    Luck(RehearsalPlan plan) {
        this.plan = plan;
        surface = Math.exp(0.10 * ofPiece("surface"));
        diffusion = Math.exp(0.22 * ofPiece("diffusion"));
        film = Math.exp(0.10 * ofPiece("film"));
        water = 0.745 + 0.012 * ofPiece("water");
        bacteria = (plan.cut().species().isGame() ? SHOT : SLAUGHTERED) + 0.4 * ofPiece("bacteria");
        double load = plan.has(Mishap.DIRTY_ROOM) ? -3.4 : -5.5;
        spores = Math.pow(10, load + 0.5 * gauss("spores"));
        warmer = 0.4 * gauss("warmer");
        damper = 0.03 * gauss("damper");
        probeOff = 0.02 * gauss("probe");
        weather = random("weather").nextDouble();
        plan.mishaps()
                .forEach(mishap -> begins.put(
                        mishap,
                        mishap.day(
                                random(mishap.isOfTheRoom() ? mishap.name() : own(mishap.name()))
                                        .nextDouble(),
                                plan.plannedDays())));
    }

    private String own(String stream) {
        return plan.number() == 0 ? stream : stream + " " + plan.number();
    }

    /** Of a piece: what it has of its animal, and what it has of its own. */
    private double ofPiece(String stream) {
        return plan.number() == 0 ? gauss(stream) : OF_ITS_ANIMAL * gauss(stream) + OF_ITS_OWN * gauss(own(stream));
    }

    private Random random(String stream) {
        return new Random(plan.seed() * 1_000_003L + stream.hashCode());
    }

    private double gauss(String stream) {
        Random random = random(stream);
        random.nextDouble(); // neighbouring seeds begin alike
        return Math.max(-2.5, Math.min(2.5, random.nextGaussian()));
    }

    /** A draw of its own for a day, from 0 to 1. */
    double onDay(String stream, int day) {
        return random(stream + day).nextDouble();
    }

    /** Whether it has begun by then. */
    boolean hasBegun(Mishap mishap, double day) {
        return begins.containsKey(mishap) && day >= begins.get(mishap);
    }

    /** The day it begins; never where it does not. */
    double begins(Mishap mishap) {
        return begins.getOrDefault(mishap, Double.POSITIVE_INFINITY);
    }
}
