package elvaro.server.device;

import elvaro.server.device.SenMl.Measured;
import elvaro.server.shared.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.zip.GZIPInputStream;
import java.util.zip.ZipException;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.dataformat.cbor.CBORMapper;

/** Reads what a device sends: its token and a pack of SenML, in JSON or CBOR, as it is or packed with gzip. */
@Component
public class PackReader {
    private static final String BEARER = "Bearer ";
    public static final int MOST_BYTES = 2_000_000;
    private static final int MOST_UNPACKED = 2 * MOST_BYTES;
    private static final int MOST_RECORDS = 20_000;

    private final JsonMapper json;
    private final CBORMapper cbor = new CBORMapper();
    private final Clock clock;

    PackReader(JsonMapper json, Clock clock) {
        this.json = json;
        this.clock = clock;
    }

    /**
     * A pack on its way.
     *
     * @param type of its content: {@code application/senml+cbor} is CBOR, all else is JSON
     * @param encoding {@code gzip}, or nothing
     */
    public record Pack(InputStream body, String type, String encoding) {
        boolean isCbor() {
            return type.toLowerCase(Locale.ROOT).contains("cbor");
        }

        /**
         * To be read once the token is known: a body of nobody's costs nothing.
         *
         * @throws Refusal if it is packed otherwise, or unpacks to more than a pack
         */
        public byte[] bytes() {
            try {
                return switch (encoding.strip().toLowerCase(Locale.ROOT)) {
                    case "", "identity" -> body.readAllBytes();
                    case "gzip", "x-gzip" -> unpacked();
                    default ->
                        throw Refusal.wrong(
                                "bad-pack", "pack", "A pack comes as it is or packed with gzip. Nothing was kept.");
                };
            } catch (IOException gone) {
                throw new UncheckedIOException(gone);
            }
        }

        private byte[] unpacked() throws IOException {
            try (GZIPInputStream gzip = new GZIPInputStream(body)) {
                byte[] bytes = gzip.readNBytes(MOST_UNPACKED + 1);
                if (bytes.length > MOST_UNPACKED) {
                    throw Refusal.tooLarge("This unpacks to more than a pack. Nothing was kept.");
                }
                return bytes;
            } catch (ZipException broken) {
                throw Refusal.wrong("bad-pack", "pack", "This is not packed with gzip. Nothing was kept.");
            }
        }
    }

    /** @throws Refusal if the header holds no token; the word before it may be written in any case, RFC 9110 section 11.1 */
    public static String token(String authorization) {
        if (!authorization.regionMatches(true, 0, BEARER, 0, BEARER.length())) {
            throw Refusal.unknownDevice();
        }
        return authorization.substring(BEARER.length()).strip();
    }

    /**
     * @param bytes of the pack, unpacked
     * @throws Refusal that says what is wrong with the pack
     */
    public List<Measured> read(Pack pack, byte[] bytes) {
        try (JsonParser parser = pack.isCbor() ? cbor.createParser(bytes) : json.createParser(bytes)) {
            return SenMl.resolve(parser, MOST_RECORDS, clock.instant());
        } catch (JacksonException malformed) {
            throw Refusal.wrong(
                    "bad-pack", "pack", "This is no %s. Nothing was kept.".formatted(pack.isCbor() ? "CBOR" : "JSON"));
        }
    }
}
