package elvaro.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.server.shared.Refusal;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The seal of an archive, held against SHA-256 reckoned over the finished file. */
class SealedTest {
    @TempDir
    Path folder;

    private static byte[] sealed(byte[] content, Random pieces) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Sealed.SealedStream stream = new Sealed.SealedStream(bytes);
        byte[] all = Arrays.copyOf(content, content.length + Sealed.LENGTH);
        System.arraycopy(Sealed.BLANK.getBytes(StandardCharsets.US_ASCII), 0, all, content.length, Sealed.LENGTH);
        for (int from = 0; from < all.length; ) {
            int length = Math.min(all.length - from, pieces.nextInt(200));
            if (length == 1) {
                stream.write(all[from]);
            } else {
                stream.write(all, from, length);
            }
            from += length;
        }
        stream.close();
        stream.close(); // closing twice seals once
        return bytes.toByteArray();
    }

    @RepeatedTest(50)
    void in_whatever_pieces_a_file_is_written_its_seal_is_the_digest_of_all_before(RepetitionInfo info)
            throws Exception {
        Random random = new Random(info.getCurrentRepetition());
        byte[] content = new byte[random.nextInt(700)];
        random.nextBytes(content);
        byte[] file = sealed(content, random);
        assertThat(Arrays.copyOf(file, content.length)).isEqualTo(content);
        assertThat(new String(file, content.length, Sealed.LENGTH, StandardCharsets.US_ASCII))
                .isEqualTo(HexFormat.of()
                        .formatHex(MessageDigest.getInstance("SHA-256").digest(content)));
        Path path = Files.write(folder.resolve("file"), file);
        if (content.length > 0) {
            assertThatCode(() -> Sealed.check(path)).doesNotThrowAnyException();
            file[random.nextInt(file.length)] ^= 4;
            Files.write(path, file);
        }
        assertThatThrownBy(() -> Sealed.check(path)).isInstanceOf(Refusal.class);
    }

    @Test
    void what_has_no_place_for_a_seal_gets_none() {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Sealed.SealedStream stream = new Sealed.SealedStream(bytes);
        assertThatThrownBy(() -> {
                    stream.write(new byte[300]);
                    stream.close();
                })
                .isInstanceOf(IOException.class);
        assertThat(bytes.size()).isLessThan(300);
    }
}
