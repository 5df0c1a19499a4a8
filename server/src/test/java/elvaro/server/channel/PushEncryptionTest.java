package elvaro.server.channel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.Signature;
import java.security.interfaces.ECPublicKey;
import java.security.spec.ECPrivateKeySpec;
import java.time.Instant;
import java.util.Arrays;
import java.util.Base64;
import org.junit.jupiter.api.Test;

class PushEncryptionTest {
    private static final Base64.Decoder TEXT = Base64.getUrlDecoder();

    /** RFC 8291, section 5 and appendix A. */
    @Test
    void a_message_is_locked_as_the_standard_locks_it() throws GeneralSecurityException {
        byte[] senderOpen =
                TEXT.decode("BP4z9KsN6nGRTbVYI_c7VJSPQTBtkgcy27mlmlMoZIIgDll6e3vCYLocInmYWAmS6TlzAC8wEqKK6PBru3jl7A8");
        ECPublicKey open = PushKeys.point(senderOpen);
        KeyPair sender = new KeyPair(
                open,
                KeyFactory.getInstance("EC")
                        .generatePrivate(new ECPrivateKeySpec(
                                new BigInteger(1, TEXT.decode("yfWPiYE-n46HLnH0KqZOF1fJJU3MYrct3AELtAQ-oRw")),
                                open.getParams())));
        byte[] locked = PushEncryption.lock(
                "When I grow up, I want to be a watermelon".getBytes(StandardCharsets.US_ASCII),
                TEXT.decode("BCVxsr7N_eNgVRqvHtD0zTZsEc6-VV-JvLexhqUzORcxaOzi6-AYWXvTBHm4bjyPjs7Vd8pZGH6SRpkNtoIAiw4"),
                TEXT.decode("BTBZMqHH6r4Tts7J_aSIgg"),
                sender,
                TEXT.decode("DGv6ra1nlYgDCS1FRnbzlw"));
        assertThat(Base64.getUrlEncoder().withoutPadding().encodeToString(locked))
                .isEqualTo(
                        "DGv6ra1nlYgDCS1FRnbzlwAAEABBBP4z9KsN6nGRTbVYI_c7VJSPQTBtkgcy27mlmlMoZIIgDll6e3vCYLocInmYWAmS6"
                                + "TlzAC8wEqKK6PBru3jl7A_yl95bQpu6cVPTpK4Mqgkf1CXztLVBSt2Ks3oZwbuwXPXLWyouBWLVWGNWQexSgSxsj_Qulcy4"
                                + "a-fN");
    }

    @Test
    void what_is_no_point_of_the_curve_is_refused() {
        byte[] wrong =
                TEXT.decode("BCVxsr7N_eNgVRqvHtD0zTZsEc6-VV-JvLexhqUzORcxaOzi6-AYWXvTBHm4bjyPjs7Vd8pZGH6SRpkNtoIABw4");
        assertThatThrownBy(() -> PushEncryption.lock(new byte[0], wrong, new byte[16]))
                .isInstanceOf(GeneralSecurityException.class);
        assertThatThrownBy(() -> PushEncryption.lock(new byte[0], new byte[3], new byte[16]))
                .isInstanceOf(GeneralSecurityException.class);
    }

    /** RFC 8292, section 2, with the signature form of RFC 7518, section 3.4. */
    @Test
    void the_house_says_who_it_is_to_which_push_service_and_until_when() throws GeneralSecurityException {
        PushKeys keys = new PushKeys("");
        Instant now = Instant.parse("2026-11-28T02:00:00Z");
        String header = keys.authorization("https://push.example:8443", "mailto:maren@brackenrow.example", now);
        assertThat(header).startsWith("vapid t=").endsWith(", k=" + keys.open());
        String[] parts =
                header.substring("vapid t=".length(), header.indexOf(',')).split("\\.");
        assertThat(new String(TEXT.decode(parts[1]), StandardCharsets.UTF_8))
                .isEqualTo(
                        "{\"aud\":\"https://push.example:8443\",\"exp\":%d,\"sub\":\"mailto:maren@brackenrow.example\"}"
                                .formatted(now.plusSeconds(12 * 3600).getEpochSecond()));
        Signature check = Signature.getInstance("SHA256withECDSAinP1363Format");
        check.initVerify(PushKeys.point(TEXT.decode(keys.open())));
        check.update((parts[0] + "." + parts[1]).getBytes(StandardCharsets.US_ASCII));
        assertThat(check.verify(TEXT.decode(parts[2]))).isTrue();
    }

    @Test
    void keys_whose_coordinates_begin_with_zeros_are_65_bytes_all_the_same() throws GeneralSecurityException {
        for (int tries = 0; tries < 600; tries++) {
            ECPublicKey key = (ECPublicKey) PushKeys.fresh().getPublic();
            byte[] bytes = PushKeys.bytes(key);
            assertThat(bytes).hasSize(65);
            assertThat(PushKeys.point(bytes).getW()).isEqualTo(key.getW());
            if (bytes[1] == 0 || bytes[33] == 0) {
                return;
            }
        }
        assertThat(Arrays.asList("no key with a zero in 600"))
                .as("one in 128 has one")
                .isEmpty();
    }
}
