package elvaro.core.compare;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Shrink against days for a group, by the law of drying through a growing crust: t = a·w + b·w². Fitted by least squares of
 * t over w and w² weighted to errors in w, a and b 0 or more. Reference section 3 (the linear–parabolic law).
 *
 * @param a days for a share of 1 through the constant resistances alone, 0 or more
 * @param b days for a share of 1 through the crust alone, 0 or more
 * @param sd of the shares round the curve
 * @param from the fewest days among the pieces
 * @param to the most
 */
public record ShrinkCurve(double a, double b, double sd, double from, double to, int pieces) {
    private static final int FEWEST = 4;
    private static final int ROUNDS = 40;

    /** As many as make it look round. */
    private static final int STEPS = 24;

    /** A finished piece. */
    public record Point(double days, double lost) {}

    /** Empty for fewer than four pieces that lost something, or where all hung as long. */
    public static Optional<ShrinkCurve> of(List<Point> points) {
        List<Point> used = points.stream()
                .filter(point -> point.days() > 0 && point.lost() > 0)
                .sorted(Comparator.comparingDouble(Point::days))
                .toList();
        if (used.size() < FEWEST
                || used.get(0).days() == used.get(used.size() - 1).days()) {
            return Optional.empty();
        }
        double[] law = fit(used);
        double squares = 0;
        for (Point point : used) {
            double off = point.lost() - at(law[0], law[1], point.days());
            squares += off * off;
        }
        return Optional.of(new ShrinkCurve(
                law[0],
                law[1],
                Math.sqrt(squares / (used.size() - 1)),
                used.get(0).days(),
                used.get(used.size() - 1).days(),
                used.size()));
    }

    /** Each round weighs a piece by how many days a share is worth there, so that errors in w count, not in t. */
    private static double[] fit(List<Point> points) {
        double a = 0;
        double b = 1;
        for (int round = 0; round < ROUNDS; round++) {
            double s11 = 0;
            double s12 = 0;
            double s22 = 0;
            double t1 = 0;
            double t2 = 0;
            for (Point point : points) {
                double w = point.lost();
                double slope = round == 0 ? 1 : a + 2 * b * at(a, b, point.days());
                double weight = 1 / (slope * slope);
                s11 += weight * w * w;
                s12 += weight * w * w * w;
                s22 += weight * w * w * w * w;
                t1 += weight * w * point.days();
                t2 += weight * w * w * point.days();
            }
            double determinant = s11 * s22 - s12 * s12;
            double nextA = determinant <= 0 ? -1 : (t1 * s22 - t2 * s12) / determinant;
            double nextB = determinant <= 0 ? -1 : (s11 * t2 - s12 * t1) / determinant;
            if (nextA < 0) {
                nextA = 0;
                nextB = t2 / s22;
            } else if (nextB < 0) {
                nextA = t1 / s11;
                nextB = 0;
            }
            a = nextA;
            b = nextB;
        }
        return new double[] {a, b};
    }

    /** The curve from its fewest to its most days, to be drawn. */
    public List<Point> points() {
        return IntStream.rangeClosed(0, STEPS)
                .mapToDouble(step -> from + (to - from) * step / STEPS)
                .mapToObj(days -> new Point(days, at(days)))
                .toList();
    }

    /** Share lost after so many days, 0 or more. */
    public double at(double days) {
        return at(a, b, days);
    }

    private static double at(double a, double b, double days) {
        return b == 0 ? days / a : (-a + Math.sqrt(a * a + 4 * b * days)) / (2 * b);
    }
}
