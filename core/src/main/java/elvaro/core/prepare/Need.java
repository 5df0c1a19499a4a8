package elvaro.core.prepare;

import static elvaro.core.working.Quantity.area;
import static elvaro.core.working.Quantity.length;
import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.span;

import elvaro.core.cut.SurfaceClass;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import java.util.ArrayList;
import java.util.List;

/**
 * Something the preparation needs, with how much of it for this piece. Amounts: EST, by geometry.
 *
 * @param what it is
 * @param amount in words
 */
public record Need(String what, String amount) {
    private static final double FILM_ROOM_MM = 60;
    private static final double SEAL_ROOM_MM = 150;
    private static final double SALT_DEEP_MM = 10;

    /** Loose table salt, kg/m³ (common handbook value, from memory). */
    private static final double SALT_DENSITY = 1200;

    private static final double LOOP_EVERY_MM = 60;

    /** The sides of a piece, mm. */
    public record Sides(double length, double width, double height) {

        /** Of a piece nobody measured: by the class of its cut, filled to 85 % of its box (EST). */
        public static Sides usual(SurfaceClass shape, int grams) {
            double[] ratio = switch (shape) {
                case LONG_SUBPRIMAL, WHOLE_FISH -> new double[] {3, 1.4, 0.7};
                case FLAT_CUT -> new double[] {3, 1.5, 0.5};
                case SINGLE_STEAK -> new double[] {2, 1.4, 0.35};
                case COMPACT_ROAST, WHOLE_BIRD -> new double[] {1.6, 1.2, 0.9};
                case QUARTER_OR_SADDLE -> new double[] {2.2, 1.2, 0.8};
            };
            double litres = grams / 1000.0 / SurfaceClass.LEAN_DENSITY * 1e9 / 0.85;
            double unit = Math.cbrt(litres / (ratio[0] * ratio[1] * ratio[2]));
            return new Sides(unit * ratio[0], unit * ratio[1], unit * ratio[2]);
        }
    }

    /** What a piece needs before it hangs. */
    public static List<Need> of(Hanging hanging, Sides sides) {
        List<Need> needs = new ArrayList<>();
        needs.add(new Need("Gloves and a clean board", "fresh"));
        switch (hanging.method()) {
            case MEMBRANE -> {
                needs.add(new Need(
                        "Membrane, lying flat",
                        "at least %s wide and %s long"
                                .formatted(
                                        length(up(sides.width() + sides.height() + FILM_ROOM_MM, 10)),
                                        length(up(sides.length() + sides.height() + SEAL_ROOM_MM, 10)))));
                needs.add(new Need("Rack", "to lie on"));
            }
            case SALT_TRAY -> {
                double square = (sides.length() + 50) * (sides.width() + 50) / 1e6;
                needs.add(new Need(
                        "Coarse salt for the tray",
                        "%s, %s deep"
                                .formatted(
                                        mass(up(square * SALT_DEEP_MM / 1000 * SALT_DENSITY * 1000, 50)),
                                        length((int) SALT_DEEP_MM))));
                needs.add(new Need(
                        "Tray and rack",
                        "at least %s by %s"
                                .formatted(length(up(sides.length() + 50, 10)), length(up(sides.width() + 50, 10)))));
            }
            case OPEN_AIR -> {
                double girth = 2 * (sides.width() + sides.height());
                double loops = Math.ceil(sides.length() / LOOP_EVERY_MM);
                needs.add(new Need(
                        "Twine",
                        "%s to tie it, or a hook".formatted(span((loops * girth + 2 * sides.length()) / 1000))));
            }
            case FAT_SEAL ->
                needs.add(new Need(
                        "Rendered fat",
                        "%s for a seal of %s"
                                .formatted(
                                        mass(up(hanging.surface().squareMetres() * 0.003 * 920 * 1000, 50)),
                                        length(3))));
            case ON_ICE -> needs.add(new Need("Ice", "twice the weight of the meat to begin with"));
            case VACUUM -> {}
        }
        if (hanging.coating() == Coating.CLOTH && hanging.method() != Method.VACUUM) {
            needs.add(new Need(
                    "Cloth",
                    "%s, once round with an overlap"
                            .formatted(area(hanging.surface().squareMetres() * 1.2))));
        }
        return needs;
    }

    private static int up(double amount, int step) {
        return (int) Math.ceil(amount / step) * step;
    }
}
