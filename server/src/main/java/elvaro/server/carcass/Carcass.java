package elvaro.server.carcass;

import elvaro.core.game.Animal;
import elvaro.core.game.CarcassYield.Weighed;
import elvaro.core.game.School;
import elvaro.core.game.School.Knife;
import elvaro.core.game.School.Trim;
import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Inspected;
import elvaro.server.shared.InspectedRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;

/** An animal as it came in. Its id is that of the piece that hangs whole. */
@Entity
@Table(name = "carcass")
@Audited
@NullUnmarked
class Carcass extends EditedRow implements InspectedRow {
    private UUID lotId;

    @Enumerated(EnumType.STRING)
    private Animal animal;

    private String permit;
    private Instant killedAt;
    private String place;

    @Enumerated(EnumType.STRING)
    private Weighed weighed;

    private boolean skinOn;
    private String wound;
    private Instant cooledAt;

    @Inspected("Disease test")
    @Enumerated(EnumType.STRING)
    private DiseaseTest test;

    @Enumerated(EnumType.STRING)
    private Knife knife = Knife.SEAMS;

    @Enumerated(EnumType.STRING)
    private Trim trim = Trim.NOW;

    protected Carcass() {}

    Carcass(UUID id, UUID lotId, CarcassForm form) {
        super(id);
        this.lotId = lotId;
        animal = form.animal();
        permit = form.permit().strip();
        killedAt = form.killedAt();
        place = form.place().strip();
        weighed = form.weighed();
        skinOn = form.skinOn();
        wound = form.wound().strip();
        cooledAt = form.cooledAt();
        test = form.test();
    }

    void tested(int seenVersion, DiseaseTest result) {
        mustStillBe(seenVersion);
        test = result;
    }

    void cutBy(int seenVersion, School school) {
        mustStillBe(seenVersion);
        knife = school.knife();
        trim = school.trim();
    }

    @Override
    public String inspectedName() {
        return "The animal";
    }

    School school() {
        return new School(knife, trim);
    }

    UUID lotId() {
        return lotId;
    }

    Animal animal() {
        return animal;
    }

    String permit() {
        return permit;
    }

    Instant killedAt() {
        return killedAt;
    }

    String place() {
        return place;
    }

    Weighed weighed() {
        return weighed;
    }

    boolean skinOn() {
        return skinOn;
    }

    String wound() {
        return wound;
    }

    Optional<Instant> cooledAt() {
        return Optional.ofNullable(cooledAt);
    }

    DiseaseTest test() {
        return test;
    }
}
