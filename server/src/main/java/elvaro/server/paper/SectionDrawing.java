package elvaro.server.paper;

import com.lowagie.text.pdf.PdfContentByte;
import elvaro.core.cut.ShapeClass;
import elvaro.core.yield.Section;
import java.awt.Color;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/**
 * A cut through a piece, as on the screen: dashed what was hung, filled what it weighs now; in it fat above, bone below, crust
 * as a rim, steak as the core. Each layer is the outline scaled by the root of its share of the one around it, so that areas
 * are true.
 */
public record SectionDrawing(ShapeClass shape, Section section) implements Drawing {
    private static final float SQUARE = 100;
    private static final float LARGEST = 110;
    private static final JsonNode OUTLINES = PaperColour.kit("outlines.json");
    private static final Pattern STEP = Pattern.compile("([MLCQZ])([^MLCQZ]*)");

    @Override
    public float height(float width) {
        return Math.min(width, LARGEST);
    }

    @Override
    public void draw(PdfContentByte canvas, float width) {
        JsonNode outline = OUTLINES.path(shape.name());
        String path = outline.path("path").asString();
        float scale = height(width) / SQUARE;
        canvas.saveState();
        canvas.concatCTM(scale, 0, 0, -scale, 0, height(width));
        canvas.setLineWidth(2.5f);
        canvas.setColorStroke(PaperColour.RAIL);
        trace(canvas, outline.path("ornament").asString(""));
        canvas.stroke();
        canvas.setLineWidth(1.25f);
        canvas.setColorStroke(PaperColour.QUIET);
        canvas.setLineDash(3, 2.5f, 0);
        trace(canvas, path);
        canvas.stroke();
        canvas.setLineDash(0);
        canvas.setColorStroke(PaperColour.GROUND);
        double withoutFat = section.now() - section.fat();
        double withoutBone = withoutFat - section.bone();
        layer(canvas, path, outline.path("centre"), section.now(), PaperColour.part("fat"));
        layer(canvas, path, outline.path("low"), share(withoutFat, section.now()), PaperColour.part("bone"));
        layer(canvas, path, outline.path("high"), share(withoutBone, withoutFat), PaperColour.part("trim"));
        layer(canvas, path, outline.path("centre"), share(section.steak(), withoutBone), PaperColour.part("steak"));
        canvas.restoreState();
    }

    private static double share(double part, double whole) {
        return whole > 0 ? part / whole : 0;
    }

    /** Goes on in the layer: what follows is drawn inside it. */
    private static void layer(PdfContentByte canvas, String path, JsonNode anchor, double areaShare, Color fill) {
        float factor = (float) Math.sqrt(Math.max(0, Math.min(1, areaShare)));
        float x = (float) anchor.path(0).asDouble();
        float y = (float) anchor.path(1).asDouble();
        canvas.concatCTM(factor, 0, 0, factor, x * (1 - factor), y * (1 - factor));
        canvas.setLineWidth(0.6f);
        canvas.setColorFill(fill);
        trace(canvas, path);
        canvas.fillStroke();
    }

    /** Traces a path of moves, lines and curves, its coordinates absolute. */
    private static void trace(PdfContentByte canvas, String path) {
        Matcher step = STEP.matcher(path);
        float x = 0;
        float y = 0;
        while (step.find()) {
            List<Float> at = numbers(step.group(2));
            int width = step.group(1).equals("C") ? 6 : step.group(1).equals("Q") ? 4 : 2;
            for (int from = 0; from + width <= at.size(); from += width) {
                List<Float> to = at.subList(from, from + width);
                switch (step.group(1)) {
                    case "M" -> canvas.moveTo(to.get(0), to.get(1));
                    case "L" -> canvas.lineTo(to.get(0), to.get(1));
                    case "C" -> canvas.curveTo(to.get(0), to.get(1), to.get(2), to.get(3), to.get(4), to.get(5));
                    default -> {
                        // A quadratic curve as the cubic one it is.
                        float overX = to.get(0) * 2 / 3;
                        float overY = to.get(1) * 2 / 3;
                        canvas.curveTo(
                                x / 3 + overX,
                                y / 3 + overY,
                                to.get(2) / 3 + overX,
                                to.get(3) / 3 + overY,
                                to.get(2),
                                to.get(3));
                    }
                }
                x = to.get(width - 2);
                y = to.get(width - 1);
            }
            if (step.group(1).equals("Z")) {
                canvas.closePath();
            }
        }
    }

    private static List<Float> numbers(String words) {
        List<Float> all = new ArrayList<>();
        Pattern.compile("-?[\\d.]+").matcher(words).results().forEach(each -> all.add(Float.valueOf(each.group())));
        return all;
    }
}
