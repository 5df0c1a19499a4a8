package elvaro.server.exchange;

import elvaro.server.chain.HouseKey;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Sha256;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.Base64;
import java.util.HexFormat;
import java.util.Optional;

/**
 * The seal of an archive: the comment a ZIP file ends with is the SHA-256, in 64 hexadecimal digits, of all that comes before
 * it; then, after a space each, the public part of a house's key and its signature of the line {@code elvaro-archive|SHA-256},
 * both in Base64. A byte that was lost or changed on the way is noticed wherever it stood, any tool still opens the file, and
 * nobody who lacks the key can seal another content in that house's name. A seal may end after the digest: it is then whole,
 * and nobody vouches for it.
 */
final class Sealed {
    private static final int DIGEST = 64;
    private static final int KEY = 60;
    private static final int SIGNATURE = 88;
    static final int LENGTH = DIGEST + 1 + KEY + 1 + SIGNATURE;

    /** What the comment is while the file is written. */
    static final String BLANK = "0".repeat(LENGTH);

    private Sealed() {}

    /**
     * What a seal says.
     *
     * @param digest SHA-256 of all that comes before it, in hexadecimal
     * @param key the public part of the key it is signed with; absent where it is not signed
     */
    record Seal(String digest, Optional<String> key) {}

    /**
     * @throws Refusal if the file does not end with its seal
     */
    static Seal check(Path file) throws IOException {
        long size = Files.size(file);
        int length = commentLength(file, size, LENGTH) ? LENGTH : DIGEST;
        if (size <= length) {
            throw broken();
        }
        MessageDigest digest = Sha256.digest();
        String seal;
        try (InputStream in = Files.newInputStream(file)) {
            byte[] buffer = new byte[1 << 16];
            for (long left = size - length; left > 0; ) {
                int read = in.read(buffer, 0, (int) Math.min(buffer.length, left));
                if (read < 0) {
                    throw new IOException("The file became shorter while it was read");
                }
                digest.update(buffer, 0, read);
                left -= read;
            }
            seal = new String(in.readNBytes(length), StandardCharsets.ISO_8859_1);
        }
        String found = HexFormat.of().formatHex(digest.digest());
        if (!seal.startsWith(found)) {
            throw broken();
        }
        if (length == DIGEST) {
            return new Seal(found, Optional.empty());
        }
        String key = seal.substring(DIGEST + 1, DIGEST + 1 + KEY);
        String signature = seal.substring(LENGTH - SIGNATURE);
        if (!HouseKey.signed(key, words(found), signature)
                || !seal.equals("%s %s %s".formatted(found, asWritten(key), asWritten(signature)))) {
            throw broken();
        }
        return new Seal(found, Optional.of(key));
    }

    /** The last character of Base64 has bits that mean nothing; changed ones are a change too. */
    private static String asWritten(String base64) {
        return Base64.getEncoder().encodeToString(Base64.getDecoder().decode(base64));
    }

    /** A ZIP file says before its comment how long it is (APPNOTE 4.3.16). */
    private static boolean commentLength(Path file, long size, int length) throws IOException {
        if (size < length + Short.BYTES) {
            return false;
        }
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            ByteBuffer said = ByteBuffer.allocate(Short.BYTES).order(ByteOrder.LITTLE_ENDIAN);
            channel.position(size - length - Short.BYTES).read(said);
            return said.flip().remaining() == Short.BYTES && Short.toUnsignedInt(said.getShort()) == length;
        }
    }

    private static byte[] words(String digest) {
        return ("elvaro-archive|" + digest).getBytes(StandardCharsets.US_ASCII);
    }

    private static Refusal broken() {
        return Refusal.wrong(
                "broken-seal",
                "archive",
                "This is no whole archive of Elvaro: it was cut short, changed on the way, or is another file."
                        + " Nothing was taken in; fetch it again from where it was made.");
    }

    /** Writes through, and puts the seal in the place of the last bytes when it is closed. */
    static final class SealedStream extends FilterOutputStream {
        private final MessageDigest digest = Sha256.digest();
        private final byte[] held = new byte[LENGTH];
        private int holding;
        private final HouseKey key;
        private boolean closed;

        SealedStream(OutputStream out, HouseKey key) {
            super(out);
            this.key = key;
        }

        @Override
        public void write(int one) throws IOException {
            write(new byte[] {(byte) one}, 0, 1);
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            int over = holding + length - LENGTH;
            if (over <= 0) {
                System.arraycopy(bytes, from, held, holding, length);
                holding += length;
                return;
            }
            int oldest = Math.min(over, holding);
            pass(held, 0, oldest);
            System.arraycopy(held, oldest, held, 0, holding - oldest);
            holding -= oldest;
            pass(bytes, from, over - oldest);
            int kept = length - (over - oldest);
            System.arraycopy(bytes, from + over - oldest, held, holding, kept);
            holding += kept;
        }

        private void pass(byte[] bytes, int from, int length) throws IOException {
            digest.update(bytes, from, length);
            out.write(bytes, from, length);
        }

        /** @throws IOException if what was written does not end with a blank seal */
        @Override
        public void close() throws IOException {
            if (closed) {
                return;
            }
            closed = true;
            if (!Arrays.equals(held, BLANK.getBytes(StandardCharsets.ISO_8859_1))) {
                throw new IOException("There is no place for the seal");
            }
            String found = HexFormat.of().formatHex(digest.digest());
            String seal = "%s %s %s".formatted(found, key.open(), key.sign(words(found)));
            out.write(seal.getBytes(StandardCharsets.ISO_8859_1));
            out.close();
        }
    }
}
