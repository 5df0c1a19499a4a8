package elvaro.server.channel;

import elvaro.server.chain.KeyFile;
import java.math.BigInteger;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.InvalidAlgorithmParameterException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.PrivateKey;
import java.security.Signature;
import java.security.interfaces.ECPublicKey;
import java.security.spec.ECGenParameterSpec;
import java.security.spec.ECParameterSpec;
import java.security.spec.ECPoint;
import java.security.spec.ECPublicKeySpec;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.time.Instant;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * By which push services know this house: a key on the curve P-256 made at the first start, and the word it signs with each
 * message (VAPID, RFC 8292).
 */
@Component
public class PushKeys {
    private static final String CURVE = "secp256r1";
    private static final int COORDINATE_BYTES = 32;
    private static final byte UNCOMPRESSED = 4;
    private static final Base64.Encoder TEXT = Base64.getUrlEncoder().withoutPadding();
    private static final long HOLDS_SECONDS = 12 * 3600;

    private final PrivateKey secret;
    private final String open;

    /** @param file where it lies; empty for a key that ends with this run */
    PushKeys(@Value("${elvaro.push-key-file}") String file) {
        List<String> lines = KeyFile.lines(file, maker());
        try {
            KeyFactory keys = KeyFactory.getInstance("EC");
            secret = keys.generatePrivate(
                    new PKCS8EncodedKeySpec(Base64.getDecoder().decode(lines.get(0))));
            ECPublicKey key = (ECPublicKey) keys.generatePublic(
                    new X509EncodedKeySpec(Base64.getDecoder().decode(lines.get(1))));
            open = TEXT.encodeToString(bytes(key));
        } catch (GeneralSecurityException | IllegalArgumentException broken) {
            throw new IllegalStateException("The file of the push key is broken: " + file, broken);
        }
    }

    /** The public part as browsers take it: an uncompressed point in URL-safe Base64. */
    public String open() {
        return open;
    }

    /**
     * What a request to a push service is signed with, as the header Authorization.
     *
     * @param service scheme, host and port of the push service
     * @param contact whom its operator may ask, {@code mailto:} or {@code https:}
     */
    String authorization(String service, String contact, Instant now) {
        String words = json("{\"typ\":\"JWT\",\"alg\":\"ES256\"}") + "."
                + json("{\"aud\":\"%s\",\"exp\":%d,\"sub\":\"%s\"}"
                        .formatted(service, now.getEpochSecond() + HOLDS_SECONDS, contact));
        try {
            Signature signature = Signature.getInstance("SHA256withECDSAinP1363Format");
            signature.initSign(secret);
            signature.update(words.getBytes(StandardCharsets.US_ASCII));
            return "vapid t=%s.%s, k=%s".formatted(words, TEXT.encodeToString(signature.sign()), open);
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static String json(String text) {
        return TEXT.encodeToString(text.getBytes(StandardCharsets.UTF_8));
    }

    static KeyPairGenerator maker() {
        try {
            KeyPairGenerator maker = KeyFile.maker("EC");
            maker.initialize(new ECGenParameterSpec(CURVE));
            return maker;
        } catch (InvalidAlgorithmParameterException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    static KeyPair fresh() {
        return maker().generateKeyPair();
    }

    /** A point as 65 bytes: 4, x, y. */
    static byte[] bytes(ECPublicKey key) {
        ByteBuffer point = ByteBuffer.allocate(1 + 2 * COORDINATE_BYTES);
        point.put(UNCOMPRESSED)
                .put(coordinate(key.getW().getAffineX()))
                .put(coordinate(key.getW().getAffineY()));
        return point.array();
    }

    private static byte[] coordinate(BigInteger value) {
        byte[] bytes = value.toByteArray(); // may have a leading zero, or fewer bytes
        byte[] fixed = new byte[COORDINATE_BYTES];
        int length = Math.min(bytes.length, COORDINATE_BYTES);
        System.arraycopy(bytes, bytes.length - length, fixed, COORDINATE_BYTES - length, length);
        return fixed;
    }

    /** @throws GeneralSecurityException if these bytes are no point of the curve */
    static ECPublicKey point(byte[] bytes) throws GeneralSecurityException {
        if (bytes.length != 1 + 2 * COORDINATE_BYTES || bytes[0] != UNCOMPRESSED) {
            throw new InvalidAlgorithmParameterException("Not a point");
        }
        ECParameterSpec curve = ((ECPublicKey) fresh().getPublic()).getParams();
        ECPoint point = new ECPoint(
                new BigInteger(1, Arrays.copyOfRange(bytes, 1, 1 + COORDINATE_BYTES)),
                new BigInteger(1, Arrays.copyOfRange(bytes, 1 + COORDINATE_BYTES, bytes.length)));
        return (ECPublicKey) KeyFactory.getInstance("EC").generatePublic(new ECPublicKeySpec(point, curve));
    }
}
