package elvaro.server.first;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.server.chamber.ChamberService;
import elvaro.server.chamber.UsualChamber;
import elvaro.server.hanging.HangingService;
import elvaro.server.hanging.SplitForm;
import elvaro.server.hanging.SplitForm.NewPiece;
import elvaro.server.lot.LotForm;
import elvaro.server.lot.LotService;
import elvaro.server.piece.PieceRole;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import elvaro.server.trial.Halves;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes a chamber as such chambers usually are, takes the meat in and hangs it: all of it, or nothing. */
@Service
@Transactional
class FirstPieceService {
    private final ChamberService chambers;
    private final LotService lots;
    private final HangingService hanging;
    private final Halves halves;
    private final WorkshopService workshops;

    FirstPieceService(
            ChamberService chambers,
            LotService lots,
            HangingService hanging,
            Halves halves,
            WorkshopService workshops) {
        this.halves = halves;
        this.chambers = chambers;
        this.lots = lots;
        this.hanging = hanging;
        this.workshops = workshops;
    }

    /**
     * Sent again, it happens once.
     *
     * @throws Refusal if the house has chambers already, a value cannot be, or a question is open
     */
    void hang(UUID pieceId, FirstForm form) {
        workshops.lock();
        boolean again = chambers.find(form.chamberId()).isPresent();
        if (!again && !chambers.all().isEmpty()) {
            throw Refusal.conflict(
                    "not-first", "There are chambers here already. Receive the meat and hang it in one.");
        }
        if (form.half() != null && form.count() != null && form.count() > 1) {
            throw Refusal.wrong(
                    "half-a-batch", "count", "A batch is hung whole. Cut one piece in two, or hang the batch.");
        }
        if (!again) {
            chambers.put(UsualChamber.of(form.kind(), form.chamberId()));
        }
        LocalDate hungOn = form.hungOn() == null ? workshops.today() : form.hungOn();
        UUID lot = Ids.after(pieceId, "lot");
        lots.receive(lot(lot, form, hungOn));
        if (form.half() == null) {
            hanging.split(lot, new SplitForm(List.of(piece(pieceId, form, hungOn)), form.answers()));
        } else {
            halves.hang(
                    lot,
                    pieceId,
                    form.grams(),
                    form.half().grams(),
                    new Halves.Alike(
                            form.method(),
                            form.chamberId(),
                            hungOn,
                            form.days(),
                            form.method().usualConsumablesMinor()),
                    form.half().treatment(),
                    Boolean.TRUE.equals(form.half().waitTogether()),
                    form.answers());
        }
    }

    private static LotForm lot(UUID id, FirstForm form, LocalDate came) {
        return new LotForm(
                id,
                0,
                form.cutCode(),
                "",
                form.boneIn(),
                0,
                form.received(),
                form.priceMinorPerKg(),
                "",
                null,
                came,
                null,
                "",
                "",
                form.answers());
    }

    private static NewPiece piece(UUID id, FirstForm form, LocalDate hungOn) {
        return new NewPiece(
                id,
                PieceRole.PLAIN,
                form.grams(),
                false,
                form.method(),
                form.chamberId(),
                hungOn,
                form.days(),
                0,
                form.method() == Method.FAT_SEAL ? Coating.FAT_SEAL : Coating.NONE,
                null,
                null,
                null,
                null,
                form.count(),
                form.method().usualConsumablesMinor());
    }
}
