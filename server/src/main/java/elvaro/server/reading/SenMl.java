package elvaro.server.reading;

import elvaro.server.shared.Refusal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/**
 * Sensor measurement lists, RFC 8428: base name, base time, base unit and base value are resolved, so that each record
 * stands for itself.
 */
final class SenMl {
    /** RFC 8428 section 4.4: version 10 is this RFC. */
    private static final int VERSION = 10;

    /** RFC 8428 section 4.5.3: smaller times count from now, larger ones from 1970. */
    private static final double RELATIVE_BELOW = 268_435_456;

    private static final Set<String> KNOWN =
            Set.of("bn", "bt", "bu", "bv", "bs", "bver", "n", "u", "v", "vs", "vb", "vd", "s", "t", "ut");

    /** RFC 8428 section 4.5.1. */
    private static final Pattern NAME = Pattern.compile("[A-Za-z0-9][-A-Za-z0-9:./_]*");

    /**
     * A record by itself.
     *
     * @param unit of the registry, empty where none is given
     * @param value absent where it is a text, a truth or a sum
     */
    record Measured(String name, String unit, Optional<Double> value, Instant at) {}

    private SenMl() {}

    /**
     * @param pack an array of records
     * @param now what relative times count from
     * @throws Refusal that says which record is wrong; nothing of the pack is then used
     */
    static List<Measured> resolve(JsonNode pack, Instant now) {
        if (!pack.isArray() || pack.isEmpty()) {
            throw Refusal.wrong("bad-pack", "pack", "A pack is a JSON array of SenML records, with one at least.");
        }
        List<Measured> resolved = new ArrayList<>();
        Base base = new Base("", 0, "", 0);
        for (int index = 0; index < pack.size(); index++) {
            try {
                JsonNode entry = checked(pack.get(index));
                base = base.with(entry);
                resolved.add(base.resolve(entry, now));
            } catch (IllegalArgumentException wrong) {
                throw Refusal.wrong(
                        "bad-pack",
                        "pack",
                        "Record %d: %s Nothing of the pack was kept.".formatted(index + 1, wrong.getMessage()));
            }
        }
        return resolved;
    }

    private static JsonNode checked(JsonNode entry) {
        if (!entry.isObject()) {
            throw new IllegalArgumentException("A record is a JSON object.");
        }
        for (String label : entry.propertyNames()) {
            if (label.endsWith("_") && !KNOWN.contains(label)) {
                throw new IllegalArgumentException("%s must be understood and is not.".formatted(label));
            }
        }
        if (number(entry, "bver", VERSION) > VERSION) {
            throw new IllegalArgumentException("bver above %d is not understood.".formatted(VERSION));
        }
        return entry;
    }

    private static double number(JsonNode entry, String label, double otherwise) {
        JsonNode value = entry.path(label);
        if (value.isMissingNode()) {
            return otherwise;
        }
        if (!value.isNumber() || !Double.isFinite(value.doubleValue())) {
            throw new IllegalArgumentException("%s is no number.".formatted(label));
        }
        return value.doubleValue();
    }

    private static String text(JsonNode entry, String label, String otherwise) {
        JsonNode value = entry.path(label);
        if (value.isMissingNode()) {
            return otherwise;
        }
        if (!value.isString()) {
            throw new IllegalArgumentException("%s is no text.".formatted(label));
        }
        return value.stringValue();
    }

    /** What the records from here on share. */
    private record Base(String name, double time, String unit, double value) {

        Base with(JsonNode entry) {
            return new Base(
                    text(entry, "bn", name),
                    number(entry, "bt", time),
                    text(entry, "bu", unit),
                    number(entry, "bv", value));
        }

        Measured resolve(JsonNode entry, Instant now) {
            String whole = name + text(entry, "n", "");
            if (!NAME.matcher(whole).matches()) {
                throw new IllegalArgumentException("It has no name, or one with other than letters, digits and -:./_.");
            }
            long values =
                    List.of("v", "vs", "vb", "vd").stream().filter(entry::has).count();
            if (values > 1 || values == 0 && !entry.has("s")) {
                throw new IllegalArgumentException("It needs one value.");
            }
            Optional<Double> measured = entry.has("v") ? Optional.of(value + number(entry, "v", 0)) : Optional.empty();
            return new Measured(whole, text(entry, "u", unit), measured, at(time + number(entry, "t", 0), now));
        }

        private static Instant at(double seconds, Instant now) {
            if (Math.abs(seconds) > 1e11) {
                throw new IllegalArgumentException("Its time is out of reach.");
            }
            Instant from = seconds < RELATIVE_BELOW ? now : Instant.EPOCH;
            return from.plusMillis(Math.round(seconds * 1000));
        }
    }
}
