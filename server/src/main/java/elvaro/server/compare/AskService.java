package elvaro.server.compare;

import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps questions. */
@Service
@Transactional
class AskService {
    private static final int MOST = 60;

    private final EntityManager entities;
    private final WorkshopService workshops;

    AskService(EntityManager entities, WorkshopService workshops) {
        this.entities = entities;
        this.workshops = workshops;
    }

    record AskView(UUID id, int version, String name, String query) {}

    @Transactional(readOnly = true)
    public List<AskView> all() {
        return entities.createQuery("select a from Ask a order by a.name, a.id", Ask.class)
                .getResultStream()
                .map(ask -> new AskView(ask.id(), ask.version(), ask.name(), ask.query()))
                .toList();
    }

    /**
     * Keeps a question or changes one; sent again, it is kept once.
     *
     * @throws Refusal if there are very many, or somebody changed it meanwhile
     */
    void keep(UUID id, int version, String name, String query) {
        workshops.lock(); // They are counted.
        Ask known = entities.find(Ask.class, id);
        if (known == null) {
            if (all().size() >= MOST) {
                throw Refusal.conflict("too-many", "At most 60 questions are kept. Drop one first.");
            }
            entities.persist(new Ask(id, name.strip(), query));
        } else if (!known.name().equals(name.strip()) || !known.query().equals(query)) {
            known.change(version, name.strip(), query);
        }
        entities.flush();
    }

    void drop(UUID id, int version) {
        Ask known = entities.find(Ask.class, id);
        if (known == null) {
            throw Refusal.notFound("question");
        }
        known.mustStillBe(version);
        entities.remove(known);
    }
}
