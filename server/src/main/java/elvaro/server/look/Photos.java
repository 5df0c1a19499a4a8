package elvaro.server.look;

import elvaro.server.shared.Refusal;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Iterator;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.ExifUtils;
import net.coobird.thumbnailator.util.exif.Orientation;

/**
 * Makes a picture from a camera small and silent: turned upright, re-drawn, without what the camera wrote into it. A file made
 * to take the memory or the time of others is turned away by what stands at its head, and few are drawn at the same time.
 */
public final class Photos {
    static final int MOST_BYTES = 15_000_000;

    /** No telephone takes as many. */
    private static final long MOST_PIXELS = 60_000_000;

    /** Of a picture that must be held whole before the first line of it is known: PNG, and JPEG that comes in passes. */
    private static final long MOST_PIXELS_HELD = 25_000_000;

    private static final int MOST_PASSES = 50;
    private static final int PASSES_IN_LINES = 4;
    private static final int AT_ONCE = 2;
    private static final int PATIENCE_SECONDS = 8;

    private static final int LONGEST_SIDE = 1600;
    private static final int THUMBNAIL_SIDE = 240;
    private static final float QUALITY = 0.82f;
    private static final byte MARKER = (byte) 0xff;
    private static final byte PASS_BEGINS = (byte) 0xda;
    private static final byte SAID_BY_THE_CAMERA = (byte) 0xe1;
    private static final int START_BYTES = 2;
    private static final int SEGMENT_HEAD_BYTES = 4;
    private static final String JPEG = "JPEG";
    private static final Set<String> KINDS = Set.of(JPEG, "png");

    private static final Semaphore DRAWING = new Semaphore(AT_ONCE, true);

    private Photos() {}

    /**
     * @throws Refusal if it is no JPEG or PNG, or has too many pixels; told from the content, not from a name; or if others
     *     are being drawn for too long
     */
    static byte[] small(byte[] sent) {
        try {
            if (!DRAWING.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
                throw Refusal.busy(
                        "Other pictures are being made small. Try again in a moment; what was written is kept.");
            }
        } catch (InterruptedException ending) {
            Thread.currentThread().interrupt();
            throw Refusal.busy("Elvaro is ending. Try again in a moment; what was written is kept.");
        }
        try {
            return Picture.of(sent, Picture::drawn);
        } finally {
            DRAWING.release();
        }
    }

    /** A picture that was made small here before, for a strip of them. */
    static byte[] thumbnail(byte[] made) {
        ByteArrayOutputStream small = new ByteArrayOutputStream();
        try {
            Thumbnails.of(new ByteArrayInputStream(made))
                    .size(THUMBNAIL_SIDE, THUMBNAIL_SIDE)
                    .outputFormat("jpg")
                    .outputQuality(QUALITY)
                    .toOutputStream(small);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        return small.toByteArray();
    }

    /**
     * A picture that was made small here before, unchanged.
     *
     * @throws Refusal if it is no JPEG
     */
    public static byte[] mustBeJpeg(byte[] made) {
        return Picture.of(made, picture -> {
            if (!picture.kind.equals(JPEG)) {
                throw noPicture();
            }
            return made;
        });
    }

    private interface Work {
        byte[] on(Picture picture) throws IOException;
    }

    /** A picture of which only the head was read. */
    private static final class Picture {
        private final byte[] sent;
        private final ImageReader reader;
        private final String kind;
        private final int width;
        private final int height;

        private Picture(byte[] sent, ImageReader reader) throws IOException {
            this.sent = sent;
            this.reader = reader;
            kind = reader.getFormatName();
            if (!KINDS.contains(kind)) {
                throw noPicture();
            }
            width = reader.getWidth(0);
            height = reader.getHeight(0);
        }

        static byte[] of(byte[] sent, Work work) {
            try (ImageInputStream head = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
                Iterator<ImageReader> readers = ImageIO.getImageReaders(head);
                if (!readers.hasNext()) {
                    throw noPicture();
                }
                ImageReader reader = readers.next();
                try {
                    // What stands beside a picture may unpack to any size.
                    reader.setInput(head, true, true);
                    Picture picture = new Picture(sent, reader);
                    picture.mustBeModest();
                    return work.on(picture);
                } finally {
                    reader.dispose();
                }
            } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException broken) {
                throw noPicture();
            }
        }

        private void mustBeModest() {
            int passes = passes();
            boolean isHeld = !kind.equals(JPEG) || passes > PASSES_IN_LINES;
            long most = isHeld ? MOST_PIXELS_HELD : MOST_PIXELS;
            if ((long) width * height > most || kind.equals(JPEG) && passes > MOST_PASSES) {
                throw Refusal.tooLarge("The picture has more than %d million points. What was written is kept."
                        .formatted(most / 1_000_000));
            }
        }

        /** Within the drawing of a JPEG the marker's first byte never stands before this second one (ITU-T T.81, B.1.1.2). */
        private int passes() {
            int passes = 0;
            for (int at = 1; at < sent.length; at++) {
                if (sent[at] == PASS_BEGINS && sent[at - 1] == MARKER) {
                    passes++;
                }
            }
            return passes;
        }

        /** What the camera wrote of it stands in a segment before the drawing; absent where there is none. */
        private Optional<Orientation> up() {
            ByteBuffer file = ByteBuffer.wrap(sent).position(START_BYTES);
            while (kind.equals(JPEG) && file.remaining() > SEGMENT_HEAD_BYTES && file.get() == MARKER) {
                byte segment = file.get();
                int length = Short.toUnsignedInt(file.getShort()) - Short.BYTES;
                if (length < 0 || length > file.remaining() || segment == PASS_BEGINS) {
                    break;
                }
                byte[] said = new byte[length];
                file.get(said);
                if (segment == SAID_BY_THE_CAMERA && new String(said, StandardCharsets.ISO_8859_1).startsWith("Exif")) {
                    return Optional.ofNullable(ExifUtils.getOrientationFromExif(said));
                }
            }
            return Optional.empty();
        }

        byte[] drawn() throws IOException {
            int longest = Math.max(width, height);
            ImageReadParam every = reader.getDefaultReadParam();
            int step = Math.max(1, longest / (2 * LONGEST_SIDE));
            every.setSourceSubsampling(step, step, 0, 0);
            BufferedImage read = reader.read(0, every);
            BufferedImage drawn = up().map(ExifFilterUtils::getFilterForOrientation)
                    .map(turn -> turn.apply(read))
                    .orElse(read);
            int side = Math.min(LONGEST_SIDE, Math.max(drawn.getWidth(), drawn.getHeight()));
            ByteArrayOutputStream small = new ByteArrayOutputStream();
            Thumbnails.of(drawn)
                    .size(side, side)
                    .imageType(BufferedImage.TYPE_INT_RGB)
                    .outputFormat("jpg")
                    .outputQuality(QUALITY)
                    .toOutputStream(small);
            return small.toByteArray();
        }
    }

    private static Refusal noPicture() {
        return Refusal.wrong("no-picture", "photo", "This is no picture in JPEG or PNG. What was written is kept.");
    }
}
