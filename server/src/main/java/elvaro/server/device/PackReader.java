package elvaro.server.device;

import elvaro.server.device.SenMl.Measured;
import elvaro.server.shared.Refusal;
import java.io.IOException;
import java.io.InputStream;
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
    private static final int MOST_BYTES = 2_000_000;
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

    /** @throws Refusal if there are too many; they are not read to their end */
    public static byte[] bytes(InputStream body) throws IOException {
        byte[] pack = body.readNBytes(MOST_BYTES + 1);
        if (pack.length > MOST_BYTES) {
            throw Refusal.tooLarge("At most %d bytes a pack. Nothing was kept.".formatted(MOST_BYTES));
        }
        return pack;
    }

    /** @throws Refusal that says what is wrong with the pack */
    public List<Measured> read(byte[] pack) {
        List<Measured> records;
        try (JsonParser parser = json.createParser(pack)) {
            records = SenMl.resolve(parser, clock.instant());
        } catch (JacksonException malformed) {
            throw Refusal.wrong("bad-pack", "pack", "This is no JSON. Nothing was kept.");
        }
        if (records.size() > MOST_RECORDS) {
            throw Refusal.tooLarge("At most %d records a pack. Nothing was kept.".formatted(MOST_RECORDS));
        }
        return records;
    }
}
