package elvaro.server.look;

import elvaro.server.shared.Refusal;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;

/** Makes a picture from a camera small and silent: turned upright, re-drawn, without what the camera wrote into it. */
public final class Photos {
    static final int MOST_BYTES = 15_000_000;

    /** More would take the memory of others; no telephone takes as many. */
    private static final long MOST_PIXELS = 60_000_000;

    private static final int LONGEST_SIDE = 1600;
    private static final float QUALITY = 0.82f;
    private static final int JPEG_BEGINS = 0xff;
    private static final Set<String> KINDS = Set.of("JPEG", "png");

    private Photos() {}

    /** @throws Refusal if it is no JPEG or PNG, or has too many pixels; told from the content, not from a name */
    static byte[] small(byte[] sent) {
        int longest = Math.min(LONGEST_SIDE, longestSide(sent));
        ByteArrayOutputStream small = new ByteArrayOutputStream();
        try {
            Thumbnails.of(new ByteArrayInputStream(sent))
                    .size(longest, longest)
                    .useExifOrientation(true)
                    .imageType(java.awt.image.BufferedImage.TYPE_INT_RGB)
                    .outputFormat("jpg")
                    .outputQuality(QUALITY)
                    .toOutputStream(small);
        } catch (IOException | IllegalArgumentException broken) {
            throw noPicture();
        }
        return small.toByteArray();
    }

    /**
     * A picture that was made small here before, unchanged.
     *
     * @throws Refusal if it is no JPEG
     */
    public static byte[] mustBeJpeg(byte[] made) {
        longestSide(made);
        if ((made[0] & 0xff) != JPEG_BEGINS) {
            throw noPicture();
        }
        return made;
    }

    /** The size stands at the head of the file; a bomb is turned away before it is unpacked. */
    private static int longestSide(byte[] sent) {
        try (ImageInputStream head = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(head);
            if (!readers.hasNext()) {
                throw noPicture();
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(head);
                if (!KINDS.contains(reader.getFormatName())) {
                    throw noPicture();
                }
                int width = reader.getWidth(0);
                int height = reader.getHeight(0);
                if ((long) width * height > MOST_PIXELS) {
                    throw Refusal.tooLarge("The picture has more than 60 million points. The look itself is kept.");
                }
                return Math.max(width, height);
            } finally {
                reader.dispose();
            }
        } catch (IOException broken) {
            throw noPicture();
        }
    }

    private static Refusal noPicture() {
        return Refusal.wrong("no-picture", "photo", "This is no picture in JPEG or PNG. The look itself is kept.");
    }
}
