package elvaro.devices;

import java.math.BigInteger;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.SecureRandom;
import java.security.Signature;
import java.security.interfaces.ECPublicKey;
import java.security.spec.ECGenParameterSpec;
import java.security.spec.ECPoint;
import java.security.spec.ECPublicKeySpec;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.time.Instant;
import java.util.Arrays;
import java.util.Base64;
import java.util.Properties;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.crypto.Cipher;
import javax.crypto.KeyAgreement;
import javax.crypto.Mac;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;

/** A browser on a phone that is not there: it opens what is locked for it (RFC 8291), and nothing else. */
final class SimulatedPhone {
    private static final Base64.Encoder TEXT = Base64.getUrlEncoder().withoutPadding();
    private static final Base64.Decoder BYTES = Base64.getUrlDecoder();
    private static final Pattern WORD = Pattern.compile("vapid t=([^.]+)\\.([^.]+)\\.([^,]+), k=(.+)");
    private static final int POINT = 65;
    private static final int SALT = 16;

    private final KeyPair keys;
    private final byte[] shared;

    private SimulatedPhone(KeyPair keys, byte[] shared) {
        this.keys = keys;
        this.shared = shared;
    }

    /** The phone of a person, made where the keys know none yet. */
    static SimulatedPhone of(Properties known, String person) throws GeneralSecurityException {
        KeyFactory factory = KeyFactory.getInstance("EC");
        String kept = known.getProperty(person);
        if (kept != null) {
            String[] parts = kept.split(" ");
            return new SimulatedPhone(
                    new KeyPair(
                            factory.generatePublic(new X509EncodedKeySpec(BYTES.decode(parts[0]))),
                            factory.generatePrivate(new PKCS8EncodedKeySpec(BYTES.decode(parts[1])))),
                    BYTES.decode(parts[2]));
        }
        KeyPairGenerator maker = KeyPairGenerator.getInstance("EC");
        maker.initialize(new ECGenParameterSpec("secp256r1"));
        KeyPair keys = maker.generateKeyPair();
        byte[] shared = new byte[SALT];
        new SecureRandom().nextBytes(shared);
        known.setProperty(
                person,
                "%s %s %s"
                        .formatted(
                                TEXT.encodeToString(keys.getPublic().getEncoded()),
                                TEXT.encodeToString(keys.getPrivate().getEncoded()),
                                TEXT.encodeToString(shared)));
        return new SimulatedPhone(keys, shared);
    }

    String openKey() {
        return TEXT.encodeToString(point((ECPublicKey) keys.getPublic()));
    }

    String shared() {
        return TEXT.encodeToString(shared);
    }

    private static byte[] point(ECPublicKey key) {
        // The X.509 form ends with the uncompressed point.
        byte[] whole = key.getEncoded();
        return Arrays.copyOfRange(whole, whole.length - POINT, whole.length);
    }

    private ECPublicKey key(byte[] point) throws GeneralSecurityException {
        BigInteger x = new BigInteger(1, Arrays.copyOfRange(point, 1, 33));
        BigInteger y = new BigInteger(1, Arrays.copyOfRange(point, 33, POINT));
        return (ECPublicKey) KeyFactory.getInstance("EC")
                .generatePublic(new ECPublicKeySpec(new ECPoint(x, y), ((ECPublicKey) keys.getPublic()).getParams()));
    }

    /** @throws GeneralSecurityException if it was not locked for this phone */
    String open(byte[] locked) throws GeneralSecurityException {
        ByteBuffer message = ByteBuffer.wrap(locked);
        byte[] salt = new byte[SALT];
        message.get(salt);
        message.getInt(); // the size of a record; there is one
        byte[] sender = new byte[message.get()];
        message.get(sender);
        byte[] cipherText = new byte[message.remaining()];
        message.get(cipherText);
        KeyAgreement agreement = KeyAgreement.getInstance("ECDH");
        agreement.init(keys.getPrivate());
        agreement.doPhase(key(sender), true);
        byte[] own = point((ECPublicKey) keys.getPublic());
        byte[] secret = derive(shared, agreement.generateSecret(), joined("WebPush: info", own, sender), 32);
        Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
        cipher.init(
                Cipher.DECRYPT_MODE,
                new SecretKeySpec(derive(salt, secret, joined("Content-Encoding: aes128gcm"), 16), "AES"),
                new GCMParameterSpec(128, derive(salt, secret, joined("Content-Encoding: nonce"), 12)));
        byte[] plain = cipher.doFinal(cipherText);
        int end = plain.length;
        while (plain[end - 1] == 0) {
            end--;
        }
        return new String(plain, 0, end - 1, StandardCharsets.UTF_8); // before the mark of the last record
    }

    private static byte[] joined(String label, byte[]... keys) {
        ByteBuffer joined = ByteBuffer.allocate(200);
        joined.put(label.getBytes(StandardCharsets.US_ASCII)).put((byte) 0);
        for (byte[] key : keys) {
            joined.put(key);
        }
        return Arrays.copyOf(joined.array(), joined.position());
    }

    private static byte[] derive(byte[] salt, byte[] material, byte[] info, int length)
            throws GeneralSecurityException {
        Mac mac = Mac.getInstance("HmacSHA256");
        mac.init(new SecretKeySpec(salt, "HmacSHA256"));
        byte[] extracted = mac.doFinal(material);
        mac.init(new SecretKeySpec(extracted, "HmacSHA256"));
        mac.update(info);
        return Arrays.copyOf(mac.doFinal(new byte[] {1}), length);
    }

    /** @throws GeneralSecurityException if the sender does not say who it is, to this service, for now (RFC 8292) */
    static void verify(String authorization, String service, Instant now) throws GeneralSecurityException {
        Matcher word = WORD.matcher(authorization);
        if (!word.matches()) {
            throw new GeneralSecurityException("The sender does not say who it is.");
        }
        byte[] point = BYTES.decode(word.group(4));
        KeyPairGenerator maker = KeyPairGenerator.getInstance("EC");
        maker.initialize(new ECGenParameterSpec("secp256r1"));
        SimulatedPhone any = new SimulatedPhone(maker.generateKeyPair(), new byte[0]);
        Signature check = Signature.getInstance("SHA256withECDSAinP1363Format");
        check.initVerify(any.key(point));
        check.update((word.group(1) + "." + word.group(2)).getBytes(StandardCharsets.US_ASCII));
        String claims = new String(BYTES.decode(word.group(2)), StandardCharsets.UTF_8);
        Matcher ends = Pattern.compile("\"exp\":([0-9]+)").matcher(claims);
        if (!check.verify(BYTES.decode(word.group(3)))) {
            throw new GeneralSecurityException("The sender's signature is wrong.");
        }
        if (!claims.contains("\"aud\":\"" + service + "\"")
                || !ends.find()
                || Long.parseLong(ends.group(1)) < now.getEpochSecond()) {
            throw new GeneralSecurityException("What the sender signed is for another, or past.");
        }
    }
}
