package elvaro.server.notice;

import elvaro.core.notice.AirLimits;
import elvaro.core.notice.NoticeGroup;
import elvaro.server.channel.MailServer;
import elvaro.server.channel.MailServer.MailSecurity;
import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Refusal;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Duration;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.NullUnmarked;

/** How a house tells. Its id is the workshop's; secrets lie in it locked. */
@Entity
@Table(name = "house_notices")
@NullUnmarked
class HouseNotices extends EditedRow {
    private static final int SUBMISSION_PORT = 587;

    private String mailHost = "";
    private int mailPort = SUBMISSION_PORT;

    @Enumerated(EnumType.STRING)
    private MailSecurity mailSecurity = MailSecurity.STARTTLS;

    private String mailUser = "";
    private String mailPassword = "";
    private String mailFrom = "";
    private String hookAddress = "";
    private String hookSecret = "";
    private String hookGroups = "";
    private int warmMinutes = AirLimits.WARM_MINUTES;
    private int silentMinutes = AirLimits.SILENT_MINUTES;

    @Convert(converter = AlarmStep.Steps.class)
    private List<AlarmStep> steps = AlarmStep.USUAL;

    /** As everybody begins: nobody has changed it yet. */
    @Transient
    private boolean unsaved;

    protected HouseNotices() {}

    HouseNotices(UUID workshopId) {
        super(workshopId);
        unsaved = true;
    }

    /** @param lock by which the password is locked away */
    void change(HouseNoticesForm form, UnaryOperator<String> lock) {
        if (form.version() != seen()) {
            throw Refusal.changedMeanwhile();
        }
        mailHost = form.mailHost().strip();
        mailPort = form.mailPort();
        mailSecurity = form.mailSecurity();
        mailUser = form.mailUser().strip();
        if (form.mailPassword() != null) {
            mailPassword = form.mailPassword().isEmpty() ? "" : lock.apply(form.mailPassword());
        }
        mailFrom = form.mailFrom().strip();
        hookAddress = form.hookAddress().strip();
        hookGroups = form.hookGroups().stream().sorted().map(Enum::name).collect(Collectors.joining(" "));
        warmMinutes = form.warmMinutes();
        silentMinutes = form.silentMinutes();
        steps = List.copyOf(form.steps());
    }

    void keepHookSecret(String locked) {
        hookSecret = locked;
    }

    HouseNoticesForm form(Function<String, Optional<String>> unlock) {
        return new HouseNoticesForm(
                seen(),
                mailHost,
                mailPort,
                mailSecurity,
                mailUser,
                null,
                !mailPassword.isEmpty() && unlock.apply(mailPassword).isPresent(),
                mailFrom,
                hookAddress,
                !hookSecret.isEmpty() && unlock.apply(hookSecret).isPresent(),
                hookGroups(),
                warmMinutes,
                silentMinutes,
                steps);
    }

    boolean hasMail() {
        return !mailHost.isEmpty() && !mailFrom.isEmpty();
    }

    /** Empty where none is named, or its password cannot be read any more. */
    Optional<MailServer> mail(Function<String, Optional<String>> unlock) {
        if (!hasMail()) {
            return Optional.empty();
        }
        Optional<String> password = mailPassword.isEmpty() ? Optional.of("") : unlock.apply(mailPassword);
        return password.map(word -> new MailServer(mailHost, mailPort, mailSecurity, mailUser, word, mailFrom));
    }

    String mailFrom() {
        return mailFrom;
    }

    boolean hasHook() {
        return !hookAddress.isEmpty() && !hookSecret.isEmpty();
    }

    String hookAddress() {
        return hookAddress;
    }

    Optional<String> hookSecret(Function<String, Optional<String>> unlock) {
        return unlock.apply(hookSecret);
    }

    Set<NoticeGroup> hookGroups() {
        return hookGroups.isEmpty()
                ? EnumSet.noneOf(NoticeGroup.class)
                : Arrays.stream(hookGroups.split(" "))
                        .map(NoticeGroup::valueOf)
                        .collect(Collectors.toCollection(() -> EnumSet.noneOf(NoticeGroup.class)));
    }

    /** @param humidity a chamber is set to */
    AirLimits limits(double setCelsius, OptionalDouble humidity) {
        return AirLimits.of(setCelsius, Duration.ofMinutes(warmMinutes), Duration.ofMinutes(silentMinutes), humidity);
    }

    List<AlarmStep> steps() {
        return steps;
    }

    /** By which a change is known to be of what the person saw; that there was nothing yet counts too. */
    private int seen() {
        return unsaved ? -1 : version();
    }
}
