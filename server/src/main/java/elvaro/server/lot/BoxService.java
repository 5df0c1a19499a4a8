package elvaro.server.lot;

import elvaro.core.label.BoxLabel;
import elvaro.core.label.Boxes;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads the labels of boxes that come in, and knows again what a seller's article is. */
@Service
@Transactional
class BoxService {
    private final EntityManager entities;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;

    BoxService(EntityManager entities, WorkshopService workshops, CurrentWorkshop current) {
        this.entities = entities;
        this.workshops = workshops;
        this.current = current;
    }

    /** One box. */
    record BoxView(
            @Nullable Integer grams,
            @Nullable String article,
            @Nullable String lot,
            @Nullable String serial) {

        static BoxView of(BoxLabel label) {
            return new BoxView(
                    label.grams().orElse(null),
                    label.article().orElse(null),
                    label.lot().orElse(null),
                    label.serial().orElse(null));
        }
    }

    /** What the article was the last time. */
    record ArticleView(String cutCode, boolean boneIn, String grade, String supplier) {}

    /**
     * The boxes of a delivery.
     *
     * @param grams of all; absent where one says none
     * @param article of all
     * @param known what it was the last time; absent for one that never came
     * @param lots the seller's, with commas between; as many as one field holds
     * @param note all the labels say that no field holds
     * @param packedOn of the oldest
     * @param useBy of the first to be over
     * @param says what else is to be known, in a sentence
     */
    record BoxesView(
            List<BoxView> boxes,
            @Nullable Integer grams,
            @Nullable String article,
            @Nullable ArticleView known,
            String lots,
            String note,
            @Nullable LocalDate packedOn,
            @Nullable LocalDate useBy,
            @Nullable String says) {}

    /**
     * @param codes in the order they were scanned
     * @throws Refusal that says what is wrong with the first that cannot be read
     */
    @Transactional(readOnly = true)
    public BoxesView read(List<String> codes) {
        Boxes boxes = new Boxes();
        LocalDate today = workshops.today();
        for (String code : codes) {
            try {
                boxes.add(code, today);
            } catch (IllegalArgumentException wrong) {
                throw Refusal.wrong("bad-code", "codes", wrong.getMessage());
            }
        }
        Optional<String> article = boxes.article();
        return new BoxesView(
                boxes.labels().stream().map(BoxView::of).toList(),
                boxes.grams().orElse(null),
                article.orElse(null),
                article.flatMap(this::known).orElse(null),
                first(boxes.lots()),
                note(boxes),
                boxes.packed().orElse(null),
                boxes.useBy().orElse(null),
                says(boxes, today).orElse(null));
    }

    /** Whole ones, as many as fit; none is cut. */
    private static String first(Set<String> lots) {
        String all = "";
        for (String lot : lots) {
            String more = all.isEmpty() ? lot : all + ", " + lot;
            if (more.length() > LotForm.LONGEST_TAG) {
                return all;
            }
            all = more;
        }
        return all;
    }

    /** @throws Refusal if that is more than can be kept of one lot */
    private static String note(Boxes boxes) {
        String lots = boxes.lots().isEmpty() ? "" : "; lots " + String.join(", ", boxes.lots());
        String useBy = boxes.useBy().map(day -> "; to be used by " + day).orElse("");
        String note = "By the labels of %d %s%s%s."
                .formatted(boxes.labels().size(), boxes.labels().size() == 1 ? "box" : "boxes", lots, useBy);
        if (note.length() > LotForm.LONGEST_NOTE) {
            throw Refusal.wrong(
                    "too-many-lots",
                    "codes",
                    "These boxes are of more lots than can be kept together. Take fewer in at once.");
        }
        return note;
    }

    private static Optional<String> says(Boxes boxes, LocalDate today) {
        if (boxes.isMixed()) {
            return Optional.of("These boxes are of several articles. Take each article in as a lot of its own.");
        }
        if (boxes.useBy().filter(day -> day.isBefore(today)).isPresent()) {
            return Optional.of("Its last day, as the seller says, is over. Look at it before you take it in.");
        }
        return boxes.grams().isEmpty() && !boxes.labels().isEmpty()
                ? Optional.of("A label says no weight. Weigh the boxes.")
                : Optional.empty();
    }

    private UUID id(String article) {
        return Ids.after(current.person().workshopId(), "article " + article);
    }

    private Optional<ArticleView> known(String article) {
        return Optional.ofNullable(entities.find(SellerArticle.class, id(article)))
                .map(each -> new ArticleView(each.cutCode(), each.boneIn(), each.grade(), each.supplier()));
    }

    /** What a lot was that came in by the labels of its boxes. */
    void remember(LotForm form) {
        String article = form.article();
        if (article == null || article.isBlank()) {
            return;
        }
        UUID id = id(article.strip());
        SellerArticle known = entities.find(SellerArticle.class, id);
        if (known == null) {
            SellerArticle fresh = new SellerArticle(id, article.strip());
            fresh.was(form);
            entities.persist(fresh);
        } else {
            known.was(form);
        }
    }
}
