package elvaro.server.chain;

import java.nio.charset.StandardCharsets;
import java.util.UUID;

/**
 * Where the chain of a workshop stood at a moment, signed.
 *
 * @param number of the last link then
 * @param hash of that link
 * @param madeAt in milliseconds since 1970
 * @param key the public part of who signed
 */
record Checkpoint(UUID workshop, long number, String hash, long madeAt, String key, String signature) {
    static Checkpoint signed(UUID workshop, long number, String hash, long madeAt, HouseKey key) {
        return new Checkpoint(
                workshop, number, hash, madeAt, key.open(), key.sign(words(workshop, number, hash, madeAt)));
    }

    boolean isSigned() {
        return HouseKey.signed(key, words(workshop, number, hash, madeAt), signature);
    }

    private static byte[] words(UUID workshop, long number, String hash, long madeAt) {
        return "elvaro-checkpoint|%s|%d|%s|%d"
                .formatted(workshop, number, hash, madeAt)
                .getBytes(StandardCharsets.US_ASCII);
    }
}
