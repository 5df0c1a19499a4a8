package elvaro.server.exchange;

import elvaro.server.shared.Refusal;
import elvaro.server.shared.Sha256;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HexFormat;

/**
 * The seal of an archive: the comment a ZIP file ends with is the SHA-256, in 64 hexadecimal digits, of all that comes
 * before it. A byte that was lost or changed on the way is noticed wherever it stood, and any tool still opens the file.
 */
final class Sealed {
    static final int LENGTH = 64;

    /** What the comment is while the file is written. */
    static final String BLANK = "0".repeat(LENGTH);

    private Sealed() {}

    /** @throws Refusal if the file does not end with its seal */
    static void check(Path file) throws IOException {
        long size = Files.size(file);
        MessageDigest digest = Sha256.digest();
        byte[] seal;
        try (InputStream in = Files.newInputStream(file)) {
            byte[] buffer = new byte[1 << 16];
            for (long left = size - LENGTH; left > 0; ) {
                int read = in.read(buffer, 0, (int) Math.min(buffer.length, left));
                if (read < 0) {
                    throw new IOException("The file became shorter while it was read");
                }
                digest.update(buffer, 0, read);
                left -= read;
            }
            seal = in.readNBytes(LENGTH);
        }
        String found = HexFormat.of().formatHex(digest.digest());
        if (size <= LENGTH || !found.equals(new String(seal, StandardCharsets.ISO_8859_1))) {
            throw Refusal.wrong(
                    "broken-seal",
                    "archive",
                    "This is no whole archive of Elvaro: it was cut short, changed on the way, or is another file."
                            + " Nothing was taken in; fetch it again from where it was made.");
        }
    }

    /** Writes through, and puts the seal in the place of the last bytes when it is closed. */
    static final class SealedStream extends FilterOutputStream {
        private final MessageDigest digest = Sha256.digest();
        private final byte[] held = new byte[LENGTH];
        private int holding;
        private boolean closed;

        SealedStream(OutputStream out) {
            super(out);
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
            out.write(HexFormat.of().formatHex(digest.digest()).getBytes(StandardCharsets.ISO_8859_1));
            out.close();
        }
    }
}
