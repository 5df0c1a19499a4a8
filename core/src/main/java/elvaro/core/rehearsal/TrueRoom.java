package elvaro.core.rehearsal;

import elvaro.core.air.ChamberKind;
import java.util.List;

/** A room that answers: to the season, to doors, to its load, and to what goes wrong in it. Engineering estimates (EST). */
final class TrueRoom {
    private static final double HOURS = 24;
    private static final double HOT_SPELL_DAYS = 5;
    private static final double LOAD_DRIES_DAYS = 6;

    /** How long a dead machine takes to let two thirds of the warmth in, days. */
    private static final double WARMS_IN_DAYS = 0.7;

    private final RehearsalPlan plan;
    private final Luck luck;
    private final List<Deed> deeds;

    TrueRoom(RehearsalPlan plan, Luck luck, List<Deed> deeds) {
        this.plan = plan;
        this.luck = luck;
        this.deeds = deeds;
    }

    /** Whether it has begun, and nobody has seen to it since. */
    boolean runs(Mishap mishap, double day) {
        double begins = luck.begins(mishap);
        return day >= begins
                && deeds.stream()
                        .noneMatch(deed ->
                                deed.kind() == Deed.Kind.SAW_TO_THE_ROOM && deed.day() >= begins && deed.day() <= day);
    }

    /** The air in the hour before a day. */
    TrueAir air(double day) {
        double celsius = usualCelsius(day) + luck.warmer;
        double humidity = usualHumidity(day) + luck.damper;
        double speed = usualSpeed();
        double outside = outside(day);
        if (runs(Mishap.COMPRESSOR_FAILS, day)) {
            double gone = 1 - Math.exp(-(day - luck.begins(Mishap.COMPRESSOR_FAILS)) / WARMS_IN_DAYS);
            celsius += (outside - celsius) * gone;
            humidity += 0.12 * gone;
            speed *= 0.5;
        }
        if (runs(Mishap.DOOR_AJAR, day)) {
            celsius += 0.35 * (outside - celsius);
            humidity += 0.10;
        }
        if (runs(Mishap.FAN_OFF, day)) {
            speed = 0.05;
            humidity += 0.08;
        }
        if (runs(Mishap.RUNS_DRY, day)) {
            humidity -= 0.28;
        }
        double since = day - luck.begins(Mishap.LOAD_ADDED);
        if (since >= 0) {
            humidity += 0.12 * Math.exp(-since / LOAD_DRIES_DAYS);
        }
        return new TrueAir(Math.max(-25, Math.min(35, celsius)), Math.max(0.2, Math.min(0.985, humidity)), speed);
    }

    private boolean isHot(double day) {
        double since = day - luck.begins(Mishap.HOT_SPELL);
        return since >= 0 && since < HOT_SPELL_DAYS;
    }

    /** Outside the room: a house, a shop, a yard. */
    private double outside(double day) {
        double swing = Math.sin(2 * Math.PI * (day + luck.weather));
        double mean = plan.place() == ChamberKind.SHED ? 7 : 18;
        return mean + (plan.place() == ChamberKind.SHED ? 4 : 2) * swing + (isHot(day) ? 9 : 0);
    }

    private double usualCelsius(double day) {
        double warmth = isHot(day) ? 1 : 0;
        return switch (plan.place()) {
            case CABINET -> 2 + 0.5 * warmth;
            case WALK_IN -> 2 + 0.3 * opened(day) + 0.5 * warmth;
            case REFRIGERATOR -> 3.5 + 1.2 * opened(day) + 1.5 * warmth;
            case SHED -> 0.6 * outside(day) - 1.2;
            case ICE_CHEST -> 0.3 + 0.6 * warmth;
        };
    }

    private double usualHumidity(double day) {
        return switch (plan.place()) {
            case CABINET -> 0.80;
            case WALK_IN -> 0.82 + 0.03 * opened(day);
            case REFRIGERATOR -> 0.52 + 0.12 * opened(day);
            case SHED -> 0.76 + 0.06 * Math.sin(2 * Math.PI * (day / 5 + luck.weather)) + (isHot(day) ? 0.06 : 0);
            case ICE_CHEST -> 0.97;
        };
    }

    private double usualSpeed() {
        return switch (plan.place()) {
            case CABINET, WALK_IN -> 0.5;
            case REFRIGERATOR -> 0.12;
            case SHED -> 0.3;
            case ICE_CHEST -> 0.05;
        };
    }

    /** How much the door is opened in an hour: not at night, not every day alike. */
    private double opened(double day) {
        double hour = (day - Math.floor(day)) * HOURS;
        boolean night = hour < 7 || hour > 22;
        return night ? 0 : 0.5 + luck.onDay("door", (int) Math.floor(day));
    }
}
