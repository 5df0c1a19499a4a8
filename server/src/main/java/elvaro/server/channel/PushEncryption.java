package elvaro.server.channel;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.SecureRandom;
import java.security.interfaces.ECPublicKey;
import java.util.Arrays;
import javax.crypto.Cipher;
import javax.crypto.KeyAgreement;
import javax.crypto.Mac;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;

/**
 * Locks a push message for one browser, so that the push service in between reads nothing of it: RFC 8291 over the coding
 * aes128gcm of RFC 8188, in one record. In the JDK alone: decision 0044.
 */
final class PushEncryption {
    private static final int SALT_BYTES = 16;
    private static final int KEY_BYTES = 16;
    private static final int NONCE_BYTES = 12;
    private static final int SECRET_BYTES = 32;
    private static final int TAG_BITS = 128;
    private static final int RECORD_BYTES = 4096;

    /** What every push service takes in one message, RFC 8030 section 7.2. */
    static final int MOST_BYTES = 3993;

    private static final SecureRandom RANDOM = new SecureRandom();

    private PushEncryption() {}

    /**
     * @param words at most {@link #MOST_BYTES}
     * @param browser its public key
     * @param shared its authentication secret, 16 bytes
     * @throws GeneralSecurityException if the browser's key is none
     */
    static byte[] lock(byte[] words, byte[] browser, byte[] shared) throws GeneralSecurityException {
        byte[] salt = new byte[SALT_BYTES];
        RANDOM.nextBytes(salt);
        return lock(words, browser, shared, PushKeys.fresh(), salt);
    }

    /** The same with a key pair and a salt that are known, to be checked against the standard. */
    static byte[] lock(byte[] words, byte[] browser, byte[] shared, KeyPair own, byte[] salt)
            throws GeneralSecurityException {
        byte[] sender = PushKeys.bytes((ECPublicKey) own.getPublic());
        KeyAgreement agreement = KeyAgreement.getInstance("ECDH");
        agreement.init(own.getPrivate());
        agreement.doPhase(PushKeys.point(browser), true);
        byte[] secret =
                derive(shared, agreement.generateSecret(), info("WebPush: info", browser, sender), SECRET_BYTES);
        byte[] key = derive(salt, secret, info("Content-Encoding: aes128gcm"), KEY_BYTES);
        byte[] nonce = derive(salt, secret, info("Content-Encoding: nonce"), NONCE_BYTES);
        Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
        cipher.init(Cipher.ENCRYPT_MODE, new SecretKeySpec(key, "AES"), new GCMParameterSpec(TAG_BITS, nonce));
        byte[] record = Arrays.copyOf(words, words.length + 1);
        record[words.length] = 2; // the last record
        byte[] locked = cipher.doFinal(record);
        return ByteBuffer.allocate(SALT_BYTES + 4 + 1 + sender.length + locked.length)
                .put(salt)
                .putInt(RECORD_BYTES)
                .put((byte) sender.length)
                .put(sender)
                .put(locked)
                .array();
    }

    private static byte[] info(String label, byte[]... keys) {
        ByteBuffer info = ByteBuffer.allocate(label.length()
                + 1
                + Arrays.stream(keys).mapToInt(key -> key.length).sum());
        info.put(label.getBytes(StandardCharsets.US_ASCII)).put((byte) 0);
        for (byte[] key : keys) {
            info.put(key);
        }
        return info.array();
    }

    /** HKDF with SHA-256, RFC 5869, of one block at most. */
    private static byte[] derive(byte[] salt, byte[] material, byte[] info, int length)
            throws GeneralSecurityException {
        byte[] extracted = mac(salt, material);
        byte[] block = Arrays.copyOf(info, info.length + 1);
        block[info.length] = 1;
        return Arrays.copyOf(mac(extracted, block), length);
    }

    private static byte[] mac(byte[] key, byte[] words) throws GeneralSecurityException {
        Mac mac = Mac.getInstance("HmacSHA256");
        mac.init(new SecretKeySpec(key, "HmacSHA256"));
        return mac.doFinal(words);
    }
}
