package elvaro.server.stock;

import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Inspected;
import elvaro.server.shared.Inspected.Written;
import elvaro.server.shared.InspectedRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;

/** For how many days the workshop lets such a pack be used. */
@Entity
@Table(name = "pack_rule")
@Audited
@NullUnmarked
class PackRule extends EditedRow implements InspectedRow {
    @Enumerated(EnumType.STRING)
    private Content content;

    @Enumerated(EnumType.STRING)
    private Wrap wrap;

    @Enumerated(EnumType.STRING)
    private Keeping keeping;

    @Inspected(value = "Keeps", as = Written.DAYS)
    private int days;

    protected PackRule() {}

    PackRule(UUID id, Content content, Wrap wrap, Keeping keeping, int days) {
        super(id);
        this.content = content;
        this.wrap = wrap;
        this.keeping = keeping;
        this.days = days;
    }

    void last(int seenVersion, int newDays) {
        mustStillBe(seenVersion);
        days = newDays;
    }

    @Override
    public String inspectedName() {
        return "Rule for %s, %s, %s".formatted(content.label(), wrap.label(), keeping.label());
    }

    @Override
    public boolean isToldWhenAdded() {
        return true;
    }

    boolean isFor(Content packed, Wrap in, Keeping kept) {
        return content == packed && wrap == in && keeping == kept;
    }

    Content content() {
        return content;
    }

    Wrap wrap() {
        return wrap;
    }

    Keeping keeping() {
        return keeping;
    }

    int days() {
        return days;
    }
}
