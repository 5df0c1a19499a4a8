package elvaro.e2e;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.datamatrix.DataMatrixWriter;
import com.google.zxing.qrcode.QRCodeWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;

/** What the camera of every browser sees: one code, held still. */
final class CameraAtHand {
    static final Path SEES = file();

    private static final int WIDTH = 640;
    private static final int HEIGHT = 480;
    private static final int SIZE = 400;
    private static final byte GREY = (byte) 128;

    private CameraAtHand() {}

    private static Path file() {
        try {
            return Files.createTempFile("elvaro-e2e-camera", ".y4m");
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    /** Holds a code before it, from the next time a page looks through it. */
    static void show(String text) throws IOException, WriterException {
        show(new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, SIZE, SIZE));
    }

    /** Holds the label of a box before it: GS1 DataMatrix. */
    static void showBox(String elements) throws IOException {
        show(new DataMatrixWriter()
                .encode(
                        elements,
                        BarcodeFormat.DATA_MATRIX,
                        SIZE,
                        SIZE,
                        Map.of(EncodeHintType.GS1_FORMAT, true, EncodeHintType.DATA_MATRIX_COMPACT, true)));
    }

    private static void show(BitMatrix code) throws IOException {
        byte[] light = new byte[WIDTH * HEIGHT];
        Arrays.fill(light, (byte) 235);
        int left = (WIDTH - code.getWidth()) / 2;
        int top = (HEIGHT - code.getHeight()) / 2;
        for (int y = 0; y < code.getHeight(); y++) {
            for (int x = 0; x < code.getWidth(); x++) {
                if (code.get(x, y)) {
                    light[(y + top) * WIDTH + x + left] = 16;
                }
            }
        }
        byte[] colour = new byte[WIDTH * HEIGHT / 2];
        Arrays.fill(colour, GREY);
        ByteArrayOutputStream film = new ByteArrayOutputStream();
        film.write("YUV4MPEG2 W%d H%d F10:1 Ip A1:1 C420jpeg\n"
                .formatted(WIDTH, HEIGHT)
                .getBytes(StandardCharsets.US_ASCII));
        for (int frame = 0; frame < 10; frame++) {
            film.write("FRAME\n".getBytes(StandardCharsets.US_ASCII));
            film.write(light);
            film.write(colour);
        }
        Files.write(SEES, film.toByteArray());
    }
}
