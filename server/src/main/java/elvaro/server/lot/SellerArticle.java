package elvaro.server.lot;

import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

/** What a seller's article turned out to be when its boxes came in the last time. */
@Entity
@Table(name = "seller_article")
@NullUnmarked
class SellerArticle extends WorkshopRow {
    private String article;
    private String cutCode;
    private boolean boneIn;
    private String grade;
    private String supplier;

    protected SellerArticle() {}

    SellerArticle(UUID id, String article) {
        super(id);
        this.article = article;
    }

    void was(LotForm form) {
        cutCode = form.cutCode();
        boneIn = form.boneIn();
        grade = form.grade().strip();
        supplier = form.supplier().strip();
    }

    String cutCode() {
        return cutCode;
    }

    boolean boneIn() {
        return boneIn;
    }

    String grade() {
        return grade;
    }

    String supplier() {
        return supplier;
    }
}
