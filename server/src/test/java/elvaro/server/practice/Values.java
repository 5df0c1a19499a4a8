package elvaro.server.practice;

import elvaro.server.support.Bodies;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/**
 * Values as people say them: {@code 9.2 lb}, {@code 1.5 in}, {@code 38 °F}, {@code 6.00 a lb}, {@code day -24}, {@code day -24
 * 08:00}; {@code {name}} is what was kept by that name, else an id of its own.
 */
final class Values {
    private static final Pattern AMOUNT = Pattern.compile("(-?[\\d.]+) (lb|kg|g|in|mm|°F|°C|a lb|a kg)");
    private static final Pattern DAY = Pattern.compile("day (-?\\d+)(?: (\\d\\d:\\d\\d))?");
    private static final Pattern NAME = Pattern.compile("\\{([\\w ]+)}");
    private static final double GRAMS_PER_POUND = 453.59237;

    private final Map<String, Object> kept = new HashMap<>();

    void keep(String name, JsonNode value) {
        if (value.isMissingNode() || value.isNull()) {
            throw new AssertionError("Nothing there to be kept as " + name);
        }
        kept.put(name, value.isNumber() ? (Object) value.numberValue() : value.asString());
    }

    Object of(Object said) {
        if (said instanceof Map<?, ?> map) {
            Map<String, Object> all = new LinkedHashMap<>();
            Object usual = map.get("with");
            if (usual != null) {
                all.putAll(usual(usual.toString()));
            }
            map.forEach((key, value) -> {
                if (!key.equals("with")) {
                    all.put(text(key.toString()), of(value));
                }
            });
            return all;
        }
        if (said instanceof List<?> list) {
            List<Object> all = new ArrayList<>();
            list.forEach(each -> all.add(of(each)));
            return all;
        }
        return said instanceof String words ? value(words) : said;
    }

    private Object value(String words) {
        Matcher amount = AMOUNT.matcher(words);
        if (amount.matches()) {
            double figure = Double.parseDouble(amount.group(1));
            return switch (amount.group(2)) {
                case "lb" -> (int) Math.round(figure * GRAMS_PER_POUND);
                case "kg" -> (int) Math.round(figure * 1000);
                case "in" -> (int) Math.round(figure * 25.4);
                case "°F" -> (figure - 32) / 1.8;
                case "°C" -> figure;
                case "a lb" -> (int) Math.round(figure * 100 / GRAMS_PER_POUND * 1000);
                case "a kg" -> (int) Math.round(figure * 100);
                default -> (int) figure;
            };
        }
        Matcher day = DAY.matcher(words);
        if (day.matches()) {
            LocalDate date = Bodies.today().plusDays(Integer.parseInt(day.group(1)));
            return day.group(2) == null
                    ? date.toString()
                    : date.atTime(LocalTime.parse(day.group(2)))
                            .atZone(ZoneId.of("Europe/Berlin"))
                            .toInstant()
                            .toString();
        }
        Matcher name = NAME.matcher(words);
        return name.matches() ? named(name.group(1)) : text(words);
    }

    String text(String words) {
        return NAME.matcher(words).replaceAll(found -> Matcher.quoteReplacement(String.valueOf(named(found.group(1)))));
    }

    private Object named(String name) {
        if (name.startsWith("new")) {
            return UUID.randomUUID().toString();
        }
        return kept.computeIfAbsent(name, made -> UUID.randomUUID().toString());
    }

    /** A usual body to say only what is special on. */
    Map<String, Object> usual(String kind) {
        String none = UUID.randomUUID().toString();
        Map<String, Object> body = switch (kind) {
            case "" -> Map.of();
            case "chamber" -> Bodies.chamberBody(none, "", 45_000);
            case "lot" -> Bodies.lotBody(none, 1000);
            case "hang" -> Bodies.hangBody(none, none, 1000);
            case "treatment" -> Bodies.treatmentBody("PASTE");
            case "entry" -> Bodies.entry("NOTE", 0);
            case "pile" -> Bodies.pile("STEAK", 0);
            case "look" -> Bodies.lookBody();
            case "pack" -> Bodies.packBody("STEAK", 1000);
            case "carcass" -> Bodies.carcassBody(none, 50_000);
            case "scenario" -> Bodies.scenarioBody(none);
            case "part" -> Bodies.partBody("", 0);
            default -> throw new IllegalArgumentException("No usual body of " + kind);
        };
        Map<String, Object> copy = new HashMap<>(body);
        copy.replaceAll((key, value) -> key.equals("answers") ? Map.of() : value);
        return copy;
    }
}
