package elvaro.server.device;

import elvaro.server.shared.Refusal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/**
 * Sensor measurement lists, RFC 8428, in JSON or CBOR: base name, base time, base unit and base value are resolved, so that each record
 * stands for itself.
 */
public final class SenMl {
    /** RFC 8428 section 4.4: version 10 is this RFC. */
    private static final int VERSION = 10;

    /** RFC 8428 section 4.5.3: smaller times count from now, larger ones from 1970. */
    private static final double RELATIVE_BELOW = 268_435_456;

    /** RFC 8428 section 4.5.1. */
    private static final Pattern NAME = Pattern.compile("[A-Za-z0-9][-A-Za-z0-9:./_]*+");

    /**
     * A record by itself.
     *
     * @param unit of the registry, empty where none is given
     * @param value absent where it is a text, a truth or a sum
     */
    public record Measured(String name, String unit, Optional<Double> value, Instant at) {}

    private SenMl() {}

    /**
     * @param pack a stream that stands before its first token: an array of records
     * @param most records
     * @param now what relative times count from
     * @throws Refusal that says which record is wrong; nothing of the pack is then used
     */
    static List<Measured> resolve(JsonParser pack, int most, Instant now) {
        List<Measured> resolved = new ArrayList<>();
        if (pack.nextToken() != JsonToken.START_ARRAY) {
            throw notOne();
        }
        Base base = new Base("", 0, "", 0);
        Entry entry = new Entry();
        Map<String, String> names = new HashMap<>(); // the same few stand in thousands of records
        for (JsonToken token = pack.nextToken(); token != JsonToken.END_ARRAY; token = pack.nextToken()) {
            if (resolved.size() == most) {
                throw Refusal.tooLarge("At most %d records a pack. Nothing was kept.".formatted(most));
            }
            try {
                if (token != JsonToken.START_OBJECT) {
                    throw new IllegalArgumentException("A record is a JSON object.");
                }
                entry.read(pack);
                Base next = base.with(entry);
                if (next != base) {
                    names.clear();
                    base = next;
                }
                resolved.add(base.resolve(entry, names, now));
            } catch (IllegalArgumentException wrong) {
                throw Refusal.wrong(
                        "bad-pack",
                        "pack",
                        "Record %d: %s Nothing of the pack was kept."
                                .formatted(resolved.size() + 1, wrong.getMessage()));
            }
        }
        if (resolved.isEmpty() || pack.nextToken() != null) {
            throw notOne();
        }
        return resolved;
    }

    private static Refusal notOne() {
        return Refusal.wrong("bad-pack", "pack", "A pack is a JSON array of SenML records, with one at least.");
    }

    /** A record as it stands in the pack; used again for the next. A tree of a large pack costs more than its rows. */
    private static final class Entry {
        private @Nullable String baseName;
        private @Nullable Double baseTime;
        private @Nullable String baseUnit;
        private @Nullable Double baseValue;
        private String name = "";
        private @Nullable String unit;
        private @Nullable Double value;
        private double time;
        private int values;
        private boolean sum;

        /** Reads to the end of the object whose begin was read. */
        void read(JsonParser pack) {
            baseName = null;
            baseTime = null;
            baseUnit = null;
            baseValue = null;
            name = "";
            unit = null;
            value = null;
            time = 0;
            values = 0;
            sum = false;
            for (String label = pack.nextName(); label != null; label = pack.nextName()) {
                pack.nextToken();
                take(label, pack);
            }
        }

        /** Labels are names in JSON and numbers in CBOR: RFC 8428 section 6, table 4. */
        private void take(String label, JsonParser pack) {
            switch (label) {
                case "bn", "-2" -> baseName = text(label, pack);
                case "bt", "-3" -> baseTime = number(label, pack);
                case "bu", "-4" -> baseUnit = text(label, pack);
                case "bv", "-5" -> baseValue = number(label, pack);
                case "n", "0" -> name = text(label, pack);
                case "u", "1" -> unit = text(label, pack);
                case "t", "6" -> time = number(label, pack);
                case "v", "2" -> {
                    value = number(label, pack);
                    values++;
                }
                case "vs", "vb", "vd", "3", "4", "8" -> {
                    pack.skipChildren();
                    values++;
                }
                case "s", "5" -> sum = true;
                case "bver", "-1" -> {
                    if (number(label, pack) > VERSION) {
                        throw new IllegalArgumentException("bver above %d is not understood.".formatted(VERSION));
                    }
                }
                default -> {
                    if (label.endsWith("_")) {
                        throw new IllegalArgumentException("%s must be understood and is not.".formatted(label));
                    }
                    pack.skipChildren();
                }
            }
        }

        private static double number(String label, JsonParser pack) {
            if (!pack.currentToken().isNumeric() || !Double.isFinite(pack.getDoubleValue())) {
                throw new IllegalArgumentException("%s is no number.".formatted(label));
            }
            return pack.getDoubleValue();
        }

        private static String text(String label, JsonParser pack) {
            if (pack.currentToken() != JsonToken.VALUE_STRING) {
                throw new IllegalArgumentException("%s is no text.".formatted(label));
            }
            return pack.getString();
        }
    }

    /** What the records from here on share. */
    private record Base(String name, double time, String unit, double value) {

        Base with(Entry entry) {
            if (entry.baseName == null && entry.baseTime == null && entry.baseUnit == null && entry.baseValue == null) {
                return this;
            }
            return new Base(
                    entry.baseName == null ? name : entry.baseName,
                    entry.baseTime == null ? time : entry.baseTime,
                    entry.baseUnit == null ? unit : entry.baseUnit,
                    entry.baseValue == null ? value : entry.baseValue);
        }

        Measured resolve(Entry entry, Map<String, String> names, Instant now) {
            String whole = names.computeIfAbsent(entry.name, each -> checked(name + each));
            if (entry.values > 1 || entry.values == 0 && !entry.sum) {
                throw new IllegalArgumentException("It needs one value.");
            }
            return new Measured(
                    whole,
                    entry.unit == null ? unit : entry.unit,
                    entry.value == null ? Optional.empty() : Optional.of(value + entry.value),
                    at(time + entry.time, now));
        }

        private static String checked(String whole) {
            if (!NAME.matcher(whole).matches()) {
                throw new IllegalArgumentException("It has no name, or one with other than letters, digits and -:./_.");
            }
            return whole;
        }

        private static Instant at(double seconds, Instant now) {
            if (Math.abs(seconds) > 1e11) {
                throw new IllegalArgumentException("Its time is out of reach.");
            }
            long millis = Math.round(seconds * 1000);
            return seconds < RELATIVE_BELOW ? now.plusMillis(millis) : Instant.ofEpochMilli(millis);
        }
    }
}
