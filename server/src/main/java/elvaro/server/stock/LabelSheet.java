package elvaro.server.stock;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.datamatrix.DataMatrixWriter;
import com.google.zxing.datamatrix.encoder.SymbolShapeHint;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.lowagie.text.Document;
import com.lowagie.text.PageSize;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.BaseFont;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfWriter;
import elvaro.server.paper.PaperFont;
import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Labels as PDF at true size, each with a QR code that opens what it stands for. */
final class LabelSheet {
    private static final double POINTS_PER_MM = 72 / 25.4;
    private static final double MARGIN_MM = 2;
    private static final float SMALLEST = 5;

    /** Of the label's height, one above the other with a gap between. */
    private static final double OPENS = 0.6;

    private static final double SAYS = 0.35;

    private LabelSheet() {}

    /**
     * A label.
     *
     * @param big what is read from afar
     * @param lines beneath, the most wanted first
     * @param address the QR code opens
     * @param code what a scanner of a shop reads, as a GS1 element string; absent where there is nothing to say
     */
    record Label(
            String big,
            List<String> lines,
            String address,
            @Nullable String code) {}

    static byte[] pdf(List<Label> labels, LabelSize size) {
        Rectangle page = size.isSheet() ? PageSize.A4 : new Rectangle(points(size.width()), points(size.height()));
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            Document document = new Document(page, 0, 0, 0, 0);
            PdfWriter writer = PdfWriter.getInstance(document, bytes);
            document.open();
            for (int index = 0; index < labels.size(); index++) {
                int place = index % size.onAPage();
                if (index > 0 && place == 0) {
                    document.newPage();
                }
                double left = size.left() + place % size.columns() * size.width();
                double top = size.top() + place / size.columns() * size.height();
                draw(writer.getDirectContent(), labels.get(index), size, left, page.getHeight() / POINTS_PER_MM - top);
            }
            document.close();
        } catch (WriterException impossible) {
            throw new IllegalStateException(impossible);
        }
        return bytes.toByteArray();
    }

    /** @param top of the label, millimetres above the foot of the page */
    private static void draw(PdfContentByte canvas, Label label, LabelSize size, double left, double top)
            throws WriterException {
        double inner = size.height() - 2 * MARGIN_MM;
        double square = Math.min(label.code() == null ? inner : inner * OPENS, size.width() * 0.36);
        double right = left + size.width() - MARGIN_MM;
        draw(canvas, opening(label.address()), right - square, top - MARGIN_MM - square, square);
        if (label.code() != null) {
            double says = Math.min(square, inner * SAYS);
            draw(canvas, saying(label.code()), right - says, top - MARGIN_MM - inner, says);
        }
        double room = size.width() - square - 3 * MARGIN_MM;
        float leading = (float) (inner * POINTS_PER_MM / (label.lines().size() + 2.4));
        float y = points(top - MARGIN_MM) - leading * 1.7f;
        text(canvas, PaperFont.BOLD, label.big(), leading * 1.75f, left + MARGIN_MM, y, room);
        for (String line : label.lines()) {
            y -= leading * 1.05f;
            text(canvas, PaperFont.PLAIN, line, leading * 0.86f, left + MARGIN_MM, y, room);
        }
    }

    /** As large as asked, but no wider than there is room; cut short where it would be too small to read. */
    private static void text(
            PdfContentByte canvas, PaperFont face, String words, float size, double left, float y, double roomMm) {
        BaseFont font = face.base(words + "…");
        float room = points(roomMm);
        float fits = room / Math.max(0.001f, font.getWidthPoint(words, 1));
        float used = Math.max(SMALLEST, Math.min(size, fits));
        canvas.beginText();
        canvas.setFontAndSize(font, used);
        canvas.setTextMatrix(points(left), y);
        canvas.showText(shortened(font, words, used, room));
        canvas.endText();
    }

    private static String shortened(BaseFont font, String words, float size, float room) {
        String shown = words;
        for (int length = words.length() - 1; length > 0 && font.getWidthPoint(shown, size) > room; length--) {
            shown = words.substring(0, length).strip() + "…";
        }
        return shown;
    }

    private static BitMatrix opening(String address) throws WriterException {
        return new QRCodeWriter()
                .encode(
                        address,
                        BarcodeFormat.QR_CODE,
                        0,
                        0,
                        Map.of(EncodeHintType.MARGIN, 2, EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M));
    }

    private static BitMatrix saying(String code) {
        return new DataMatrixWriter()
                .encode(
                        code,
                        BarcodeFormat.DATA_MATRIX,
                        0,
                        0,
                        Map.of(
                                EncodeHintType.GS1_FORMAT,
                                true,
                                EncodeHintType.DATA_MATRIX_COMPACT,
                                true,
                                EncodeHintType.DATA_MATRIX_SHAPE,
                                SymbolShapeHint.FORCE_SQUARE));
    }

    private static void draw(PdfContentByte canvas, BitMatrix matrix, double left, double bottom, double square) {
        float module = points(square) / matrix.getWidth();
        for (int row = 0; row < matrix.getHeight(); row++) {
            for (int column = 0; column < matrix.getWidth(); column++) {
                if (matrix.get(column, row)) {
                    canvas.rectangle(
                            points(left) + column * module,
                            points(bottom) + (matrix.getHeight() - 1 - row) * module,
                            module,
                            module);
                }
            }
        }
        canvas.fill();
    }

    private static float points(double millimetres) {
        return (float) (millimetres * POINTS_PER_MM);
    }
}
