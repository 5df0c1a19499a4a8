package elvaro.server.paper;

import com.lowagie.text.Element;
import com.lowagie.text.Phrase;
import com.lowagie.text.pdf.ColumnText;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfGState;
import java.awt.Color;
import java.util.Comparator;
import java.util.List;

/** Shares of the green weight over the days, arm by arm: the curve, its band and what was weighed. */
public record CurveDrawing(List<Curve> curves) implements Drawing {
    private static final float HEIGHT = 200;
    private static final float LEFT = 34;
    private static final float BELOW = 18;
    private static final float ABOVE = 6;
    private static final float RIGHT = 80;
    private static final float LETTERS = 8;
    private static final int LINES = 4;

    /**
     * @param arm its place in the trial, from 0, which its colour and stroke follow
     * @param weighed what was weighed, each as its own least and most
     */
    public record Curve(int arm, String name, List<Day> days, List<Day> weighed) {}

    /** Shares of the green weight on a day. */
    public record Day(double day, double lost, double least, double most) {}

    @Override
    public float height(float width) {
        return HEIGHT;
    }

    /** From days and shares to the paper. */
    private record Scale(float width, double days, double most) {
        float x(double day) {
            return LEFT + (float) (day / days) * (width - LEFT - RIGHT);
        }

        float y(double share) {
            return BELOW + (float) (share / most) * (HEIGHT - BELOW - ABOVE);
        }
    }

    @Override
    public void draw(PdfContentByte canvas, float width) {
        List<Day> all = curves.stream().flatMap(each -> each.days().stream()).toList();
        double days = Math.max(1, all.stream().mapToDouble(Day::day).max().orElse(1));
        double most = all.stream().mapToDouble(Day::most).max().orElse(0.01);
        // The top line is a whole number of hundredths for each of the lines below it.
        Scale scale = new Scale(width, days, Math.ceil(Math.max(0.01, most) * 100 / LINES) * LINES / 100);
        frame(canvas, scale);
        curves.forEach(curve -> band(canvas, scale, curve.days(), PaperColour.arm(curve.arm())));
        curves.forEach(curve -> line(canvas, scale, curve));
    }

    private static void frame(PdfContentByte canvas, Scale scale) {
        canvas.setLineWidth(0.5f);
        for (int line = 0; line <= LINES; line++) {
            double share = scale.most() * line / LINES;
            canvas.setColorStroke(PaperColour.HAIR);
            canvas.moveTo(LEFT, scale.y(share));
            canvas.lineTo(scale.width() - RIGHT, scale.y(share));
            canvas.stroke();
            words(canvas, Element.ALIGN_RIGHT, percent(share), LEFT - 4, scale.y(share) - 3, PaperColour.QUIET);
        }
        words(canvas, Element.ALIGN_LEFT, "day 0", LEFT, 4, PaperColour.QUIET);
        String last = "day %d".formatted(Math.round(scale.days()));
        words(canvas, Element.ALIGN_RIGHT, last, scale.width() - RIGHT, 4, PaperColour.QUIET);
    }

    private static void band(PdfContentByte canvas, Scale scale, List<Day> days, Color colour) {
        canvas.saveState();
        PdfGState pale = new PdfGState();
        pale.setFillOpacity(0.14f);
        canvas.setGState(pale);
        canvas.setColorFill(colour);
        for (int day = 0; day < days.size(); day++) {
            to(
                    canvas,
                    day == 0,
                    scale.x(days.get(day).day()),
                    scale.y(days.get(day).most()));
        }
        for (int day = days.size() - 1; day >= 0; day--) {
            to(
                    canvas,
                    false,
                    scale.x(days.get(day).day()),
                    scale.y(Math.max(0, days.get(day).least())));
        }
        canvas.closePath();
        canvas.fill();
        canvas.restoreState();
    }

    private void line(PdfContentByte canvas, Scale scale, Curve curve) {
        Color colour = PaperColour.arm(curve.arm());
        canvas.setColorStroke(colour);
        canvas.setColorFill(colour);
        canvas.setLineWidth(1.6f);
        if (curve.arm() > 0) {
            canvas.setLineDash(6f / curve.arm(), 2.5f, 0); // told apart without colour
        }
        for (int day = 0; day < curve.days().size(); day++) {
            Day each = curve.days().get(day);
            to(canvas, day == 0, scale.x(each.day()), scale.y(Math.max(0, each.lost())));
        }
        canvas.stroke();
        canvas.setLineDash(0);
        for (Day weighed : curve.weighed()) {
            canvas.circle(scale.x(weighed.day()), scale.y(Math.max(0, weighed.lost())), 2);
            canvas.fill();
        }
        Day last = curve.days().get(curve.days().size() - 1);
        List<Curve> fromAbove = curves.stream()
                .sorted(Comparator.comparingDouble(CurveDrawing::ends).reversed())
                .toList();
        int above = fromAbove.indexOf(curve);
        words(
                canvas,
                Element.ALIGN_LEFT,
                "%s %s".formatted(curve.name(), percent(last.lost())),
                scale.width() - RIGHT + 4,
                scale.y(ends(fromAbove.get(0))) - 3 - above * (LETTERS + 3),
                colour);
    }

    private static double ends(Curve curve) {
        return curve.days().get(curve.days().size() - 1).lost();
    }

    private static String percent(double share) {
        return "%d %%".formatted(Math.round(share * 100));
    }

    private static void to(PdfContentByte canvas, boolean first, float x, float y) {
        if (first) {
            canvas.moveTo(x, y);
        } else {
            canvas.lineTo(x, y);
        }
    }

    private static void words(PdfContentByte canvas, int align, String words, float x, float y, Color colour) {
        Phrase phrase = PaperFont.PLAIN.phrase(words, LETTERS, colour);
        ColumnText.showTextAligned(canvas, align, phrase, x, y, 0);
    }
}
