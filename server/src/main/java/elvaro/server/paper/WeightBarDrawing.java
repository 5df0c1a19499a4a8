package elvaro.server.paper;

import com.lowagie.text.pdf.PdfContentByte;
import elvaro.core.ledger.Stream;
import elvaro.server.hanging.LedgerView;
import java.awt.Color;

/** The green weight as one bar, divided into where it went; what lies on no pile is left open. */
public record WeightBarDrawing(LedgerView ledger) implements Drawing {
    private static final float HEIGHT = 12;

    @Override
    public float height(float width) {
        return HEIGHT + 2;
    }

    @Override
    public void draw(PdfContentByte canvas, float width) {
        float gram = (width - 1) / ledger.greenGrams();
        float at = 0.5f;
        for (Stream stream : Stream.values()) {
            int early = stream == Stream.DISCARD ? ledger.cutAwayGrams() : 0;
            at = stretch(canvas, at, gram * (early + ledger.piles().getOrDefault(stream, 0)), PaperColour.of(stream));
        }
        at += gram * Math.max(0, ledger.residualGrams());
        at = stretch(canvas, at, gram * (ledger.withdrawnGrams() - ledger.cutAwayGrams()), PaperColour.RAIL);
        stretch(canvas, at, gram * Math.max(0, ledger.shrinkGrams()), PaperColour.part("water"));
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
