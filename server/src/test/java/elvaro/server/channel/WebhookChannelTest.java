package elvaro.server.channel;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class WebhookChannelTest {

    /** The value is that of OpenSSL 3: printf '1.what do ya want for nothing?' | openssl dgst -sha256 -hmac Jefe. */
    @Test
    void a_call_is_signed_over_its_time_and_its_words() {
        assertThat(WebhookChannel.sign("Jefe", 1, "what do ya want for nothing?"))
                .isEqualTo("a9049465ce89cfb8e9aac62333abda66f80e3403f51f57f6bae3c3a4485eca38");
    }
}
