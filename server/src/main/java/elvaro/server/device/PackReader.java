package elvaro.server.device;

import elvaro.server.device.SenMl.Measured;
import elvaro.server.shared.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.json.JsonMapper;

/** Reads what a device sends: its token and a pack of SenML. */
@Component
public class PackReader {
    private static final String BEARER = "Bearer ";
    public static final int MOST_BYTES = 2_000_000;
    private static final int MOST_RECORDS = 20_000;

    private final JsonMapper json;
    private final Clock clock;

    PackReader(JsonMapper json, Clock clock) {
        this.json = json;
        this.clock = clock;
    }

    /** @throws Refusal if the header holds no token */
    public static String token(String authorization) {
        if (!authorization.startsWith(BEARER)) {
            throw Refusal.unknownDevice();
        }
        return authorization.substring(BEARER.length()).strip();
    }

    /** To be read once the token is known: a body of nobody's costs nothing. */
    public static byte[] bytes(InputStream body) {
        try {
            return body.readAllBytes();
        } catch (IOException gone) {
            throw new UncheckedIOException(gone);
        }
    }

    /** @throws Refusal that says what is wrong with the pack */
    public List<Measured> read(byte[] pack) {
        try (JsonParser parser = json.createParser(pack)) {
            return SenMl.resolve(parser, MOST_RECORDS, clock.instant());
        } catch (JacksonException malformed) {
            throw Refusal.wrong("bad-pack", "pack", "This is no JSON. Nothing was kept.");
        }
    }
}
