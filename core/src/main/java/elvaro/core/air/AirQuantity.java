package elvaro.core.air;

import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * What a record of a device says of the air.
 *
 * @param value °C, % or m/s
 */
public record AirQuantity(AirMeasure measure, double value) {
    /** What of the air is measured. */
    public enum AirMeasure {
        TEMPERATURE("temp|\\bt\\b"),
        HUMIDITY("hum|\\brh\\b|\\bh\\b"),
        SPEED("speed|wind|velocity");

        private final Pattern named;

        AirMeasure(String named) {
            this.named = Pattern.compile("(?i)(?:.*[^a-z])?(?:" + named + ").*");
        }

        /** Told by the last part of a record's name. */
        private static Optional<AirMeasure> named(String name) {
            String last = name.replaceAll(".*[:/]", "")
                    .replace('_', ' ')
                    .replace('-', ' ')
                    .replace('.', ' ');
            for (AirMeasure measure : values()) {
                if (measure.named.matcher(last).matches()) {
                    return Optional.of(measure);
                }
            }
            return Optional.empty();
        }
    }

    private static final double METRES_A_SECOND = 3.6;

    /** Registered units of other things, RFC 8428 section 12.1 and RFC 8798, from memory: their records are no air and no fault. */
    private static final Set<String> OF_OTHER_THINGS =
            Set.of(("m kg g s A cd mol Hz rad sr N Pa J W V Ohm S Wb T H lm lx Bq Gy Sv kat m2 m3 "
                            + "l m/s2 m3/s l/s W/m2 cd/m2 bit bit/s lat lon pH dB dBW Bspl count %EL EL 1/s "
                            + "1/min beat/min beats S/m B VA VAs var vars J/m kg/m3 deg NTU ms min h MHz kW kVA "
                            + "Ah Wh kWh mV mA dBm ug/m3 ppm hPa mm cm km")
                    .split(" "));

    /**
     * @param name of the record, whole
     * @param unit of the record, empty where it has none
     * @return nothing where it measures something else
     * @throws IllegalArgumentException with a sentence, if neither its unit nor its name tells what it measures
     */
    public static Optional<AirQuantity> of(String name, String unit, double value) {
        return switch (unit) {
            case "Cel", "degC", "°C" -> temperature(TemperatureUnit.CELSIUS, value);
            case "K" -> temperature(TemperatureUnit.KELVIN, value);
            // Not registered, and what probes of some lands say all the same.
            case "degF", "°F" -> temperature(TemperatureUnit.FAHRENHEIT, value);
            // Registered for a charge and a capacitance.
            case "C" -> isTemperature(name) ? temperature(TemperatureUnit.CELSIUS, value) : Optional.empty();
            case "F" -> isTemperature(name) ? temperature(TemperatureUnit.FAHRENHEIT, value) : Optional.empty();
            case "%RH" -> Optional.of(new AirQuantity(AirMeasure.HUMIDITY, value));
            case "m/s" -> Optional.of(new AirQuantity(AirMeasure.SPEED, value));
            case "km/h" -> Optional.of(new AirQuantity(AirMeasure.SPEED, value / METRES_A_SECOND));
            case "%", "/", "" -> Optional.of(byName(name, unit, value));
            default -> {
                if (OF_OTHER_THINGS.contains(unit)) {
                    yield Optional.empty();
                }
                throw unknown(name, unit);
            }
        };
    }

    private static boolean isTemperature(String name) {
        return AirMeasure.named(name).filter(AirMeasure.TEMPERATURE::equals).isPresent();
    }

    private static Optional<AirQuantity> temperature(TemperatureUnit unit, double value) {
        return Optional.of(new AirQuantity(AirMeasure.TEMPERATURE, unit.celsius(value)));
    }

    /** A share of a hundred, or of one, is humidity if its name says so; a bare figure is what its name says, in our units. */
    private static AirQuantity byName(String name, String unit, double value) {
        AirMeasure measure = AirMeasure.named(name)
                .filter(each -> unit.isEmpty() || each == AirMeasure.HUMIDITY)
                .orElseThrow(() -> unknown(name, unit));
        return new AirQuantity(measure, unit.equals("/") ? 100 * value : value);
    }

    private static IllegalArgumentException unknown(String name, String unit) {
        return new IllegalArgumentException(
                "What “%s” measures is told neither by its name nor by %s: say Cel, K, degF, %%RH or m/s."
                        .formatted(name, unit.isEmpty() ? "a unit" : "its unit “%s”".formatted(unit)));
    }
}
