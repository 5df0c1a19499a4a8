package elvaro.server.paper;

import com.lowagie.text.pdf.PdfContentByte;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Stream;
import elvaro.server.hanging.LedgerView;
import java.awt.Color;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A green weight as one bar, divided into where it went; what lies on no pile is left open. All in grams.
 *
 * @param piles what the bench weighed, and with the discard what was cut away before
 * @param residual on no pile
 * @param slices taken before the pull
 * @param water lost
 */
public record WeightBarDrawing(int green, Map<Stream, Integer> piles, int residual, int slices, int water)
        implements Drawing {
    private static final float HEIGHT = 12;

    public static WeightBarDrawing of(LedgerView ledger) {
        return new WeightBarDrawing(
                ledger.greenGrams(),
                piles(ledger.piles()::get, ledger.cutAwayGrams()),
                ledger.residualGrams(),
                ledger.withdrawnGrams() - ledger.cutAwayGrams(),
                ledger.shrinkGrams());
    }

    /** Several pieces together. */
    public static WeightBarDrawing of(List<Ledger> all) {
        return new WeightBarDrawing(
                all.stream().mapToInt(Ledger::green).sum(),
                piles(
                        pile -> all.stream()
                                .mapToInt(ledger -> ledger.piles().of(pile))
                                .sum(),
                        all.stream().mapToInt(Ledger::cutAway).sum()),
                all.stream().mapToInt(Ledger::residual).sum(),
                all.stream().mapToInt(Ledger::slices).sum(),
                all.stream().mapToInt(Ledger::shrink).sum());
    }

    private static Map<Stream, Integer> piles(Function<Stream, @Nullable Integer> grams, int cutAway) {
        return Arrays.stream(Stream.values())
                .collect(Collectors.toMap(
                        Function.identity(),
                        pile -> Objects.requireNonNullElse(grams.apply(pile), 0)
                                + (pile == Stream.DISCARD ? cutAway : 0)));
    }

    @Override
    public float height(float width) {
        return HEIGHT + 2;
    }

    @Override
    public void draw(PdfContentByte canvas, float width) {
        float gram = (width - 1) / green;
        float at = 0.5f;
        for (Stream stream : Stream.values()) {
            at = stretch(canvas, at, gram * piles.getOrDefault(stream, 0), PaperColour.of(stream));
        }
        at += gram * Math.max(0, residual);
        at = stretch(canvas, at, gram * slices, PaperColour.RAIL);
        stretch(canvas, at, gram * Math.max(0, water), PaperColour.part("water"));
        canvas.setColorStroke(PaperColour.QUIET);
        canvas.setLineWidth(0.8f);
        canvas.rectangle(0.5f, 1, width - 1, HEIGHT);
        canvas.stroke();
    }

    private static float stretch(PdfContentByte canvas, float from, float length, Color fill) {
        canvas.setColorFill(fill);
        canvas.rectangle(from, 1, length, HEIGHT);
        canvas.fill();
        return from + length;
    }
}
