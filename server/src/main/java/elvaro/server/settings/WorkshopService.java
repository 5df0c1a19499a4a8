package elvaro.server.settings;

import elvaro.server.shared.CurrentWorkshop;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The workshop of the signed-in person. */
@Service
@Transactional
public class WorkshopService {
    private final WorkshopRepository workshops;
    private final CurrentWorkshop current;
    private final Clock clock;

    WorkshopService(WorkshopRepository workshops, CurrentWorkshop current, Clock clock) {
        this.workshops = workshops;
        this.current = current;
        this.clock = clock;
    }

    /** Makes a workshop; who may do so is for the caller to decide. */
    public Workshop create(UUID id, WorkshopSettings settings) {
        settings.check();
        return workshops.save(new Workshop(id, settings));
    }

    @Transactional(readOnly = true)
    public Workshop mine() {
        return workshops
                .findById(current.person().workshopId())
                .orElseThrow(() -> new IllegalStateException("The signed-in person's workshop is gone"));
    }

    @Transactional(readOnly = true)
    public WorkshopSettings settings() {
        return mine().settings();
    }

    public WorkshopSettings change(WorkshopSettings settings) {
        settings.check();
        Workshop workshop = mine();
        workshop.change(settings, clock.instant());
        workshops.save(workshop);
        return workshop.settings();
    }

    /**
     * Settings of another house that an empty one takes over, with the zones its clock went by.
     *
     * @param columns as {@link WorkshopSettings#from} reads them
     */
    public void takeOver(WorkshopSettings settings, Map<String, Object> columns) {
        settings.check();
        Workshop workshop = mine();
        workshop.takeOver(settings, HouseClock.before(columns.get("zones_before")));
        workshops.save(workshop);
    }

    /** Today where the workshop stands. */
    @Transactional(readOnly = true)
    public LocalDate today() {
        return mine().clock().day(clock.instant());
    }

    /** Takes the next lot number. The workshop's row stays locked to the end of the caller's transaction. */
    @Transactional(propagation = Propagation.MANDATORY)
    public int takeLotNumber() {
        return lock().takeLotNumber();
    }

    /** Makes others who lock the workshop wait until the caller's transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Workshop lock() {
        return workshops.lock(current.person().workshopId());
    }
}
