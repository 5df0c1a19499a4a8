package elvaro.server.stock;

import elvaro.core.label.PackCode;
import elvaro.core.working.Quantity;
import elvaro.core.working.Units;
import elvaro.server.account.AccountService;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.settings.WorkshopService;
import elvaro.server.stock.LabelSheet.Label;
import elvaro.server.stock.StockView.PackView;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What stands on the labels of packs and on the tags of pieces. */
@Component
class Labels {
    private final StockReading stock;
    private final PieceQueries pieces;
    private final WorkshopService workshops;
    private final AccountService people;

    Labels(StockReading stock, PieceQueries pieces, WorkshopService workshops, AccountService people) {
        this.stock = stock;
        this.pieces = pieces;
        this.workshops = workshops;
        this.people = people;
    }

    /** @param address of the application, as phones reach it */
    byte[] ofPacks(Collection<UUID> ids, LabelSize size, String address) {
        Units units = people.units();
        return LabelSheet.pdf(
                stock.all(ids).stream().map(pack -> label(pack, address, units)).toList(), size);
    }

    private Label label(PackView pack, String address, Units units) {
        List<String> lines = new ArrayList<>();
        lines.add(
                pack.makingId() != null
                        ? pack.tag()
                        : "%s, %s"
                                .formatted(
                                        pack.cutName(),
                                        pack.name() != null
                                                ? pack.name()
                                                : pack.contentLabel().toLowerCase(Locale.ROOT)));
        if (pack.toClean()) {
            lines.add("to clean when thawed");
        }
        lines.add(units.weight(pack.leftGrams()) + price(pack, units));
        if (pack.agedDays() != null) {
            lines.add("aged %d days, piece %s".formatted(pack.agedDays(), pack.tag()));
        }
        lines.add("%s, %s, packed %s".formatted(pack.wrapLabel(), pack.keepingLabel(), units.date(pack.packedOn())));
        if (pack.useBy() != null) {
            lines.add("use by " + units.date(pack.useBy()));
        }
        if (pack.content().isGround()) {
            lines.add("ground meat: cook through");
        }
        lines.add(workshops.mine().name());
        return new Label("No. " + pack.number(), lines, address + "/packs/" + pack.id(), code(pack));
    }

    /** What was made of many has no lot but itself. Of what is all gone there is no weight to say. */
    private static @Nullable String code(PackView pack) {
        if (pack.leftGrams() < 1) {
            return null;
        }
        String lot = pack.makingId() == null
                ? pack.tag()
                : "M" + pack.makingId().toString().substring(0, 8);
        return PackCode.of(pack.leftGrams(), pack.packedOn(), pack.useBy(), lot, String.valueOf(pack.number()));
    }

    private String price(PackView pack, Units units) {
        if (pack.pricePerKg() == null) {
            return "";
        }
        return units.sentence(", %s, %s"
                .formatted(
                        Quantity.price(pack.pricePerKg()),
                        Quantity.money(pack.pricePerKg() * pack.leftGrams() / 1000.0)));
    }

    /** What hangs on a piece. */
    byte[] ofPiece(UUID pieceId, LabelSize size, String address) {
        PieceCard card =
                pieces.card(pieces.figures(List.of(pieces.find(pieceId).id())).get(0));
        List<String> lines = new ArrayList<>();
        lines.add(card.cutName());
        Units units = people.units();
        lines.add(units.weight(card.greenGrams()) + " green");
        if (card.hungOn() != null && card.targetDays() != null) {
            lines.add("hung %s, %d days".formatted(units.date(card.hungOn()), card.targetDays()));
            lines.add("pull " + units.date(card.hungOn().plusDays(card.targetDays())));
        }
        if (card.chamberName() != null) {
            lines.add(card.chamberName());
        }
        lines.add(workshops.mine().name());
        return LabelSheet.pdf(List.of(new Label(card.tag(), lines, address + "/pieces/" + card.id(), null)), size);
    }
}
