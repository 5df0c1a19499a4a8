package elvaro.server.notice;

import elvaro.core.notice.NoticeGroup;
import elvaro.core.notice.QuietHours;
import elvaro.server.channel.ChannelKind;
import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Refusal;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

/** How a person is told. Its id is the person's. */
@Entity
@Table(name = "notice_choice")
@NullUnmarked
class NoticeChoice extends EditedRow {
    private static final LocalTime MORNING = LocalTime.of(7, 0);
    private static final LocalTime QUIET_FROM = LocalTime.of(21, 0);

    private String mail;
    private String locale;
    private String zone;
    private LocalTime morningAt;
    private LocalTime quietFrom;
    private LocalTime quietTo;
    private boolean ownWorkOnly;

    @Convert(converter = Ways.class)
    private Map<NoticeGroup, Set<ChannelKind>> ways;

    /** As everybody begins: nobody has changed it yet. */
    @Transient
    private boolean unsaved;

    protected NoticeChoice() {}

    /** As everybody begins: told of all at seven, with quiet nights. */
    NoticeChoice(UUID account, String mail) {
        super(account);
        unsaved = true;
        this.mail = mail;
        locale = "";
        zone = "";
        morningAt = MORNING;
        quietFrom = QUIET_FROM;
        quietTo = MORNING;
        ownWorkOnly = true;
        ways = Ways.all();
    }

    /** @param device whose language the person's figures are written in, where the person leaves it to the device */
    void change(ChoiceForm form, Locale device) {
        if (form.version() != seen()) {
            throw Refusal.changedMeanwhile();
        }
        mail = form.mail().strip();
        locale = device.toLanguageTag();
        zone = form.zone().strip();
        morningAt = form.morningAt();
        quietFrom = form.quietFrom();
        quietTo = form.quietTo();
        ownWorkOnly = form.ownWorkOnly();
        ways = form.ways();
    }

    /** Takes a way out: no more of this group by mail. */
    void stopMail(NoticeGroup group) {
        Map<NoticeGroup, Set<ChannelKind>> left =
                new Ways().convertToEntityAttribute(new Ways().convertToDatabaseColumn(ways));
        EnumSet<ChannelKind> kept = EnumSet.noneOf(ChannelKind.class);
        kept.addAll(left.getOrDefault(group, Set.of()));
        kept.remove(ChannelKind.EMAIL);
        left.put(group, kept);
        ways = left;
    }

    ChoiceForm form() {
        return new ChoiceForm(seen(), mail, zone, morningAt, quietFrom, quietTo, ownWorkOnly, ways);
    }

    String mail() {
        return mail;
    }

    /** Of the device this was last changed on; empty where nobody changed it. */
    Optional<Locale> locale() {
        return locale.isEmpty() ? Optional.empty() : Optional.of(Locale.forLanguageTag(locale));
    }

    ZoneId zone(ZoneId house) {
        return zone.isEmpty() ? house : ZoneId.of(zone);
    }

    LocalTime morningAt() {
        return morningAt;
    }

    QuietHours quiet() {
        return new QuietHours(quietFrom, quietTo);
    }

    boolean ownWorkOnly() {
        return ownWorkOnly;
    }

    Set<ChannelKind> ways(NoticeGroup group) {
        return ways.getOrDefault(group, Set.of());
    }

    /** By which a change is known to be of what the person saw; that there was nothing yet counts too. */
    private int seen() {
        return unsaved ? -1 : version();
    }
}
