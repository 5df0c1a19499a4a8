package elvaro.server.notice;

import elvaro.core.notice.NoticeGroup;
import elvaro.core.notice.QuietHours;
import elvaro.core.working.Units;
import elvaro.server.channel.ChannelKind;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Somebody who can be told, and how.
 *
 * @param accountId absent for the house's other program, which is told what concerns everybody
 * @param zone in which the hours are meant
 * @param ways by group; none where this one is not told of it
 */
record Recipient(
        @Nullable UUID accountId,
        boolean owner,
        ZoneId zone,
        LocalTime morningAt,
        QuietHours quiet,
        boolean ownWorkOnly,
        Units units,
        Map<NoticeGroup, List<Way>> ways) {

    /** @param phoneId which phone, for {@link ChannelKind#PUSH} */
    record Way(ChannelKind channel, @Nullable UUID phoneId) {}

    List<Way> ways(NoticeGroup group) {
        return ways.getOrDefault(group, List.of());
    }

    /** Whether this one may be told of a group now. */
    boolean hears(NoticeGroup group, Instant now) {
        return !ways(group).isEmpty() && !(group.waits() && quiet.holds(time(now)));
    }

    LocalTime time(Instant at) {
        return at.atZone(zone).toLocalTime();
    }

    /** A moment as this one reads it, with its day where that is not today's. */
    String moment(Instant at, Instant now) {
        boolean today = at.atZone(zone).toLocalDate().equals(now.atZone(zone).toLocalDate());
        return (today
                        ? DateTimeFormatter.ofLocalizedTime(FormatStyle.SHORT)
                        : DateTimeFormatter.ofLocalizedDateTime(FormatStyle.MEDIUM, FormatStyle.SHORT))
                .withLocale(units.locale())
                .format(at.atZone(zone));
    }
}
