package elvaro.core.air;

import java.util.Optional;
import java.util.regex.Pattern;

/** What temperatures are in, as probes and loggers say it. */
public enum TemperatureUnit {
    CELSIUS("(?i).*(°\\s?C\\b|℃|\\bdeg\\.?\\s?C\\b|\\[C\\]|\\(C\\)|\\bC$|_C\\b|celsius).*") {
        @Override
        public double celsius(double value) {
            return value;
        }
    },
    FAHRENHEIT("(?i).*(°\\s?F\\b|℉|\\bdeg\\.?\\s?F\\b|\\[F\\]|\\(F\\)|\\bF$|_F\\b|fahrenheit).*") {
        /** NIST SP 811, appendix B.8. */
        @Override
        public double celsius(double value) {
            return (value - 32) / 1.8;
        }
    },
    KELVIN("(?i).*(\\bK$|\\[K\\]|\\(K\\)|_K\\b|kelvin).*") {
        /** SI brochure, section 2.3.1. */
        @Override
        public double celsius(double value) {
            return value - 273.15;
        }
    };

    private final Pattern named;

    TemperatureUnit(String named) {
        this.named = Pattern.compile(named);
    }

    public abstract double celsius(double value);

    /** Named in a head, or behind a value. */
    public static Optional<TemperatureUnit> in(String words) {
        for (TemperatureUnit unit : values()) {
            if (unit.named.matcher(words.strip()).matches()) {
                return Optional.of(unit);
            }
        }
        return Optional.empty();
    }
}
