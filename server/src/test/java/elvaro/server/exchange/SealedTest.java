package elvaro.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowable;

import elvaro.server.chain.HouseKey;
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
    private static final HouseKey KEY = new HouseKey("");

    @TempDir
    Path folder;

    private static byte[] sealed(byte[] content, Random pieces) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Sealed.SealedStream stream = new Sealed.SealedStream(bytes, KEY);
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
        byte[] content = new byte[2 + random.nextInt(700)];
        random.nextBytes(content);
        content[content.length - 2] = (byte) Sealed.LENGTH; // as a ZIP file ends: how long the comment is, and it
        content[content.length - 1] = 0;
        byte[] file = sealed(content, random);
        assertThat(Arrays.copyOf(file, content.length)).isEqualTo(content);
        assertThat(new String(file, content.length, 64, StandardCharsets.US_ASCII))
                .isEqualTo(HexFormat.of()
                        .formatHex(MessageDigest.getInstance("SHA-256").digest(content)));
        Path path = Files.write(folder.resolve("file"), file);
        assertThat(Sealed.check(path).key()).contains(KEY.open());
        file[random.nextInt(file.length)] ^= 4;
        Files.write(path, file);
        assertThatThrownBy(() -> Sealed.check(path)).isInstanceOf(Refusal.class);
    }

    @Test
    void a_bit_changed_in_the_seal_itself_is_noticed_as_well() throws Exception {
        byte[] content = {80, 75, (byte) Sealed.LENGTH, 0};
        byte[] file = sealed(content, new Random(1));
        Path path = folder.resolve("file");
        for (int bit = content.length * 8; bit < file.length * 8; bit++) {
            byte[] changed = file.clone();
            changed[bit / 8] ^= (byte) (1 << bit % 8);
            Files.write(path, changed);
            assertThat(catchThrowable(() -> Sealed.check(path)))
                    .as("bit %d", bit)
                    .isInstanceOf(Refusal.class);
        }
    }

    /** Whoever forges can make the digest anew, but not in the name of a house whose key they lack. */
    @Test
    void a_file_sealed_anew_says_so_by_its_key_or_by_having_none() throws Exception {
        Path path = folder.resolve("file");
        byte[] content = {80, 75, 64, 0};
        String digest =
                HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
        Files.write(
                path,
                (new String(content, StandardCharsets.ISO_8859_1) + digest).getBytes(StandardCharsets.ISO_8859_1));
        assertThat(Sealed.check(path).key()).isEmpty();
        HouseKey forger = new HouseKey("");
        content[2] = (byte) Sealed.LENGTH;
        digest = HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
        byte[] words = ("elvaro-archive|" + digest).getBytes(StandardCharsets.US_ASCII);
        String forged = new String(content, StandardCharsets.ISO_8859_1) + digest + " %s " + forger.sign(words);
        Files.write(path, forged.formatted(forger.open()).getBytes(StandardCharsets.ISO_8859_1));
        assertThat(Sealed.check(path).key()).contains(forger.open());
        Files.write(path, forged.formatted(KEY.open()).getBytes(StandardCharsets.ISO_8859_1));
        assertThatThrownBy(() -> Sealed.check(path)).isInstanceOf(Refusal.class);
    }

    @Test
    void what_has_no_place_for_a_seal_gets_none() {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Sealed.SealedStream stream = new Sealed.SealedStream(bytes, KEY);
        assertThatThrownBy(() -> {
                    stream.write(new byte[300]);
                    stream.close();
                })
                .isInstanceOf(IOException.class);
        assertThat(bytes.size()).isLessThan(300);
    }
}
