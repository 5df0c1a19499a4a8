package elvaro.server.carcass;

import elvaro.core.drying.Method;
import elvaro.core.game.Animal;
import elvaro.core.game.CarcassYield.Weighed;
import elvaro.core.game.Part;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes in animals as they came, by the same way as a person does. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class CarcassHistory {
    private final CarcassService service;
    private final CoolingService cooling;

    CarcassHistory(CarcassService service, CoolingService cooling) {
        this.service = service;
        this.cooling = cooling;
    }

    /**
     * An animal that came in.
     *
     * @param outsideCelsius of the air round the chest; absent where it hangs
     * @param cold whether its core was cold some hours later; else it is measured
     * @param awaitsTest whether a disease test is awaited
     */
    public record PastAnimal(
            UUID id,
            Animal animal,
            String tag,
            Instant killedAt,
            String place,
            int grams,
            boolean fieldDressed,
            String wound,
            String supplier,
            UUID chamberId,
            int days,
            @Nullable Double outsideCelsius,
            boolean cold,
            boolean awaitsTest) {}

    private static final double MEAT_AS_IT_COMES = 6;
    private static final int HOURS_TO_COOL = 9;

    public void receive(PastAnimal past) {
        boolean iced = past.outsideCelsius() != null;
        service.receive(
                past.id(),
                new CarcassForm(
                        past.animal(),
                        past.tag(),
                        "estate 7",
                        past.killedAt(),
                        past.place(),
                        null,
                        past.grams(),
                        null,
                        past.fieldDressed() ? Weighed.FIELD_DRESSED : Weighed.HANGING,
                        past.fieldDressed(),
                        past.wound(),
                        past.cold() ? past.killedAt().plusSeconds(HOURS_TO_COOL * 3600L) : null,
                        iced ? MEAT_AS_IT_COMES : null,
                        past.outsideCelsius(),
                        null,
                        past.awaitsTest() ? DiseaseTest.AWAITED : DiseaseTest.NOT_ASKED,
                        past.supplier(),
                        650,
                        iced ? Method.ON_ICE : Method.OPEN_AIR,
                        past.chamberId(),
                        past.days(),
                        Map.of("overload", "For a day.", "animal-weight", "", "method-chamber", "")));
    }

    /** What was measured in its core. */
    public void measured(UUID id, UUID entryId, Instant at, double celsius) {
        cooling.measured(id, entryId, new CoreForm(celsius, at, null));
    }

    /** A part that went to the bench. */
    public void cutOff(UUID id, UUID pieceId, Part part, int grams) {
        service.cutOff(id, pieceId, new CutOffForm(part, grams, false, null, null, null, null, null, Map.of()));
    }
}
