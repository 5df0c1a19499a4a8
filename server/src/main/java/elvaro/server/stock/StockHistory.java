package elvaro.server.stock;

import elvaro.core.blend.Made.Product;
import elvaro.server.settings.HouseClock;
import elvaro.server.shared.Ids;
import elvaro.server.stock.Pack.Origin;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes in packs as they were made, and where they went. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class StockHistory {
    private static final int AFTERNOON = 15;

    private final PackRepository packs;
    private final StockService service;
    private final EntityManager entities;

    StockHistory(PackRepository packs, StockService service, EntityManager entities) {
        this.packs = packs;
        this.service = service;
        this.entities = entities;
    }

    /** @param wentOn the day it left whole; absent while it is here */
    public record PastPack(
            UUID id,
            Content content,
            int grams,
            Keeping keeping,
            LocalDate packedOn,
            @Nullable LocalDate useBy,
            String place,
            @Nullable WithdrawalPurpose way,
            @Nullable LocalDate wentOn,
            String words) {}

    public void rule(Content content, Keeping keeping, int days) {
        service.rule(content, Wrap.VACUUM, keeping, 0, days);
    }

    /**
     * A grind of trim that was packed before, and of meat bought for it.
     *
     * @param trim packs and how much of each went in
     * @param grams what came out
     * @param packs made of it
     */
    public record PastGrind(
            UUID id,
            Map<UUID, Integer> trim,
            String bought,
            int boughtGrams,
            int boughtMinorPerKg,
            int grams,
            LocalDate on,
            List<PastPack> packs) {}

    public void grind(PastGrind past, UUID by, HouseClock house) {
        Instant at = at(past.on(), house);
        Making making =
                new Making(past.id(), packs.lastMakingNumber() + 1, Product.GRIND, at, by).weighing(past.grams(), "");
        entities.persist(making);
        entities.flush();
        entities.persist(new MakingBought(
                Ids.after(past.id(), "bought"), past.id(), past.bought(), past.boughtGrams(), past.boughtMinorPerKg()));
        past.trim()
                .forEach((pack, grams) -> entities.persist(new PackOut(
                                Ids.after(pack, "ground"),
                                pack,
                                WithdrawalPurpose.GRIND,
                                grams,
                                making.name(),
                                at,
                                by,
                                null)
                        .into(past.id())));
        entities.flush();
        add(Origin.making(past.id()), past.packs(), by, house);
    }

    /** @param by who packed and took out */
    public void add(UUID pieceId, List<PastPack> past, UUID by, HouseClock house) {
        add(Origin.piece(pieceId), past, by, house);
    }

    private void add(Origin from, List<PastPack> past, UUID by, HouseClock house) {
        int number = packs.lastNumber();
        for (PastPack each : past) {
            entities.persist(new Pack(
                    new PackForm(
                            each.id(),
                            each.content(),
                            each.grams(),
                            Wrap.VACUUM,
                            each.keeping(),
                            each.packedOn(),
                            each.useBy(),
                            each.place()),
                    ++number,
                    from,
                    by,
                    at(each.packedOn(), house)));
        }
        entities.flush();
        for (PastPack each : past) {
            if (each.way() != null && each.wentOn() != null) {
                entities.persist(new PackOut(
                        Ids.after(each.id(), "out"),
                        each.id(),
                        each.way(),
                        each.grams(),
                        each.words(),
                        at(each.wentOn(), house),
                        by,
                        null));
            }
        }
        entities.flush();
    }

    private static Instant at(LocalDate day, HouseClock house) {
        return house.at(day, LocalTime.of(AFTERNOON, 0));
    }
}
