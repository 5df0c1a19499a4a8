package elvaro.server.demo;

import elvaro.core.ledger.PieceLog.NetWeight;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceQueries.HangingPiece;
import elvaro.server.look.PhotoHistory;
import elvaro.server.look.PhotoMoment;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import java.util.Random;
import javax.imageio.ImageIO;
import org.springframework.stereotype.Component;

/** Pictures of some pieces that hang, drawn from their weights and plainly as drawings: no camera was there. */
@Component
class DemoPhotos {
    private static final int WIDTH = 800;
    private static final int HEIGHT = 600;
    private static final int MOST_LOTS = 3;
    private static final int EVERY_DAYS = 7;
    private static final int LONGEST_DAYS = 60;

    private final PieceQueries pieces;
    private final PhotoHistory photos;
    private final WorkshopService workshops;

    DemoPhotos(PieceQueries pieces, PhotoHistory photos, WorkshopService workshops) {
        this.pieces = pieces;
        this.photos = photos;
        this.workshops = workshops;
    }

    /** Of the first lots that hang in two halves or more, a picture a week of each piece. */
    void draw(Random random) {
        HouseClock house = workshops.mine().clock();
        List<HangingPiece> hanging = pieces.inTheRoom(house).stream()
                .filter(each -> each.piece().state() == PieceState.HANGING)
                .toList();
        hanging.stream()
                .map(each -> each.piece().lot().id())
                .distinct()
                .filter(lot -> hanging.stream()
                                .filter(each -> each.piece().lot().id().equals(lot))
                                .count()
                        > 1)
                .limit(MOST_LOTS)
                .forEach(lot -> hanging.stream()
                        .filter(each -> each.piece().lot().id().equals(lot))
                        .forEach(each -> draw(each, house, random)));
    }

    private void draw(HangingPiece hanging, HouseClock house, Random random) {
        Piece piece = hanging.piece();
        long days = Math.min(
                LONGEST_DAYS,
                hanging.card().dayNumber() == null ? 0 : hanging.card().dayNumber());
        for (long day = 0; day <= days; day += EVERY_DAYS) {
            Instant at = house.at(piece.hungOn().orElseThrow().plusDays(day), LocalTime.of(9, 40));
            double left = hanging.log().weighings().stream()
                    .filter(net -> !net.at().isAfter(at))
                    .reduce((one, later) -> later)
                    .map(NetWeight::grams)
                    .map(grams -> (double) grams / piece.greenGrams())
                    .orElse(1.0);
            photos.add(
                    piece.id(),
                    Scenario.id(random),
                    day == 0 ? PhotoMoment.AS_HUNG : PhotoMoment.HANGING,
                    at.isAfter(Instant.now()) ? Instant.now() : at,
                    drawing(day, left, new Random(random.nextLong())));
        }
    }

    /** A cut face on a hook: it darkens and shrinks by the day, and a little white comes with the crust. */
    private static byte[] drawing(long day, double left, Random random) {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setColor(new Color(0xE9E4D8));
        pen.fillRect(0, 0, WIDTH, HEIGHT);
        double size = Math.sqrt(left);
        double width = 520 * size;
        double height = 340 * size;
        Ellipse2D face = new Ellipse2D.Double((WIDTH - width) / 2, 150, width, height);
        double dark = Math.min(1, day / 35.0);
        pen.setColor(mixed(new Color(0xA83A36), new Color(0x3B211B), dark));
        pen.fill(face);
        double rim = 4 + 18 * dark;
        Area inside =
                new Area(new Ellipse2D.Double(face.getX() + rim, face.getY() + rim, width - 2 * rim, height - 2 * rim));
        pen.setColor(mixed(new Color(0xB8483F), new Color(0x7C2B2A), dark));
        pen.fill(inside);
        pen.setColor(mixed(new Color(0xF2E3B8), new Color(0xC9A968), dark));
        pen.setStroke(new BasicStroke(14, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        pen.draw(new java.awt.geom.Arc2D.Double(
                face.getX() + 6, face.getY() + 6, width - 12, height - 12, 35, 110, java.awt.geom.Arc2D.OPEN));
        pen.setColor(new Color(0xF4F1EA));
        for (int spot = 0; spot < (int) (dark * 24); spot++) {
            double angle = random.nextDouble() * 2 * Math.PI;
            pen.fill(new Ellipse2D.Double(
                    face.getCenterX() + Math.cos(angle) * (width / 2 - rim / 2) - 3,
                    face.getCenterY() + Math.sin(angle) * (height / 2 - rim / 2) - 3,
                    4 + random.nextInt(5),
                    4 + random.nextInt(5)));
        }
        pen.setColor(new Color(0x4A4640));
        pen.setStroke(new BasicStroke(5));
        pen.drawLine(WIDTH / 2, 0, WIDTH / 2, 156);
        pen.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 26));
        pen.drawString("drawing, day " + day, 24, HEIGHT - 24);
        pen.dispose();
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "jpg", jpeg);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return jpeg.toByteArray();
    }

    private static Color mixed(Color from, Color to, double share) {
        return new Color(
                (int) (from.getRed() + share * (to.getRed() - from.getRed())),
                (int) (from.getGreen() + share * (to.getGreen() - from.getGreen())),
                (int) (from.getBlue() + share * (to.getBlue() - from.getBlue())));
    }
}
