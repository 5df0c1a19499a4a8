package elvaro.server.paper;

import com.lowagie.text.Element;
import com.lowagie.text.Phrase;
import com.lowagie.text.pdf.ColumnText;
import com.lowagie.text.pdf.PdfContentByte;
import elvaro.server.tasting.TasterLines;
import java.awt.Color;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * A thin line for every taster across the samples and a thick one for the mean, side by side for all that was asked.
 *
 * @param words writes the quantities in what is said, as {@link Paper#written}
 */
public record TasterLinesDrawing(List<TasterLines> asked, UnaryOperator<String> words) implements Drawing {
    private static final float HEIGHT = 150;
    private static final float ABOVE = 28;
    private static final float BELOW = 40;
    private static final float COLUMN = 64;
    private static final float BETWEEN = 20;
    private static final float LETTERS = 8;

    @Override
    public float height(float width) {
        return HEIGHT * (1 + places(width).stream().mapToInt(Place::row).max().orElse(0));
    }

    @Override
    public void draw(PdfContentByte canvas, float width) {
        float height = height(width);
        for (Place place : places(width)) {
            canvas.saveState();
            canvas.concatCTM(1, 0, 0, 1, place.left(), height - (place.row() + 1) * HEIGHT);
            draw(canvas, place.lines(), place.column());
            canvas.restoreState();
        }
    }

    private record Place(TasterLines lines, int row, float left, float column) {}

    /** In rows, as many side by side as the width holds. */
    private List<Place> places(float width) {
        List<Place> all = new ArrayList<>();
        int row = 0;
        float left = 0;
        for (TasterLines lines : asked) {
            float column = Math.min(COLUMN, width / lines.samples().size());
            float own = column * lines.samples().size();
            if (left > 0 && left + own > width) {
                row++;
                left = 0;
            }
            all.add(new Place(lines, row, left, column));
            left += own + BETWEEN;
        }
        return all;
    }

    private void draw(PdfContentByte canvas, TasterLines lines, float column) {
        words(canvas, PaperFont.BOLD, lines.title(), HEIGHT - LETTERS - 1, PaperColour.INK);
        words(canvas, PaperFont.PLAIN, lines.high(), HEIGHT - ABOVE + 7, PaperColour.QUIET);
        words(canvas, PaperFont.PLAIN, lines.low(), BELOW - 10, PaperColour.QUIET);
        canvas.setLineWidth(0.5f);
        canvas.setColorStroke(PaperColour.HAIR);
        for (int sample = 0; sample < lines.samples().size(); sample++) {
            canvas.moveTo(x(sample, column), y(lines, lines.from()));
            canvas.lineTo(x(sample, column), y(lines, lines.to()));
            canvas.stroke();
        }
        canvas.setLineWidth(0.7f);
        canvas.setColorStroke(PaperColour.RAIL);
        lines.tasters().forEach(taster -> line(canvas, lines, taster.values(), column));
        canvas.setLineWidth(1.8f);
        canvas.setColorStroke(PaperColour.INK);
        line(canvas, lines, lines.means(), column);
        for (int sample = 0; sample < lines.samples().size(); sample++) {
            Double mean = lines.means().get(sample);
            canvas.setColorFill(PaperColour.arm(lines.colours().get(sample)));
            if (mean != null) {
                canvas.circle(x(sample, column), y(lines, mean), 3.5f);
                canvas.fill();
            }
            ColumnText named = new ColumnText(canvas);
            named.setSimpleColumn(
                    PaperFont.PLAIN.phrase(
                            "%s %s"
                                    .formatted(
                                            lines.samples().get(sample),
                                            words.apply(lines.written().get(sample))),
                            LETTERS,
                            PaperColour.INK),
                    sample * column + 2,
                    0,
                    (sample + 1) * column - 2,
                    BELOW - 10,
                    LETTERS + 1,
                    Element.ALIGN_CENTER);
            named.go();
        }
    }

    /** What a taster left out interrupts no line. */
    private static void line(PdfContentByte canvas, TasterLines lines, List<@Nullable Double> values, float column) {
        boolean begun = false;
        for (int sample = 0; sample < values.size(); sample++) {
            Double value = values.get(sample);
            if (value == null) {
                continue;
            }
            if (begun) {
                canvas.lineTo(x(sample, column), y(lines, value));
            } else {
                canvas.moveTo(x(sample, column), y(lines, value));
            }
            begun = true;
        }
        canvas.stroke();
    }

    private static float x(int sample, float column) {
        return (sample + 0.5f) * column;
    }

    private static float y(TasterLines lines, double value) {
        return BELOW
                + 2
                + (float) ((value - lines.from()) / Math.max(1, lines.to() - lines.from()))
                        * (HEIGHT - BELOW - ABOVE - 2);
    }

    private static void words(PdfContentByte canvas, PaperFont font, String words, float y, Color colour) {
        Phrase phrase = font.phrase(words, LETTERS, colour);
        ColumnText.showTextAligned(canvas, Element.ALIGN_LEFT, phrase, 0, y, 0);
    }
}
