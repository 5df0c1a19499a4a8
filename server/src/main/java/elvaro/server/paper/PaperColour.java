package elvaro.server.paper;

import elvaro.core.ledger.Stream;
import java.awt.Color;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Locale;
import java.util.Objects;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The colours of the light screen, on paper. */
final class PaperColour {
    private static final JsonNode LIGHT = kit("palette.json").path("light");

    static final Color INK = at("/text/primary");
    static final Color QUIET = at("/text/secondary");
    static final Color HAIR = at("/divider");
    static final Color RAIL = at("/rail");
    static final Color GROUND = at("/background/paper");

    private static final Color[] ARMS = {
        INK, at("/secondary/main"), at("/primary/main"), at("/part/trim"), at("/warning/main"), RAIL
    };

    private PaperColour() {}

    /** A file that screen and paper share. */
    static JsonNode kit(String file) {
        try (InputStream json = PaperColour.class.getResourceAsStream("/kit/" + file)) {
            return JsonMapper.shared().readTree(Objects.requireNonNull(json, file));
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    private static Color at(String path) {
        return Color.decode(LIGHT.at(path).asString());
    }

    /** @param part as the palette names it */
    static Color part(String part) {
        return at("/part/" + part);
    }

    static Color of(Stream stream) {
        return part(stream == Stream.USABLE_TRIM ? "trim" : stream.name().toLowerCase(Locale.ROOT));
    }

    /** @param arm its place in the trial, from 0 */
    static Color arm(int arm) {
        return ARMS[arm % ARMS.length];
    }
}
