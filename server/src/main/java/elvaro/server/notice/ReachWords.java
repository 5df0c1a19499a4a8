package elvaro.server.notice;

import elvaro.core.notice.Escalation.Step;
import elvaro.core.notice.NoticeGroup;
import elvaro.server.account.AccountService;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.channel.ChannelKind;
import elvaro.server.notice.Recipient.Way;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says in sentences who is told of the air of which chamber, so that an owner reads what was set and who is missing. */
@Component
@Transactional(readOnly = true)
class ReachWords {
    private final AlarmNotices alarmNotices;
    private final Recipients recipients;
    private final ChamberService chambers;
    private final AccountService accounts;

    ReachWords(AlarmNotices alarmNotices, Recipients recipients, ChamberService chambers, AccountService accounts) {
        this.alarmNotices = alarmNotices;
        this.recipients = recipients;
        this.chambers = chambers;
        this.accounts = accounts;
    }

    /** One sentence for the chambers of which the same people are told. */
    List<String> air() {
        List<Recipient> everybody = recipients.all();
        Map<UUID, Recipient> byAccount = everybody.stream()
                .filter(each -> each.accountId() != null)
                .collect(Collectors.toMap(each -> Objects.requireNonNull(each.accountId()), Function.identity()));
        Map<UUID, String> names = accounts.names();
        Map<String, List<String>> byPlan = new LinkedHashMap<>();
        for (Chamber chamber : chambers.all()) {
            String plan = plan(alarmNotices.steps(chamber.keeperId(), everybody), byAccount, names);
            byPlan.computeIfAbsent(plan, each -> new ArrayList<>()).add(chamber.name());
        }
        return byPlan.entrySet().stream()
                .map(each -> "%s: %s.".formatted(String.join(", ", each.getValue()), each.getKey()))
                .toList();
    }

    private static String plan(List<Step> steps, Map<UUID, Recipient> byAccount, Map<UUID, String> names) {
        List<String> said = new ArrayList<>();
        Set<UUID> before = new HashSet<>();
        long minutes = 0;
        for (Step step : steps) {
            minutes += step.after().toMinutes();
            List<String> people = step.people().stream()
                    .filter(before::add)
                    .map(person -> person(byAccount.get(person), names.getOrDefault(person, "")))
                    .toList();
            if (!people.isEmpty()) {
                String when = minutes == 0 ? "at once" : "after %d minutes".formatted(minutes);
                said.add("%s %s".formatted(when, String.join(" and ", people)));
            }
        }
        return said.isEmpty() ? "nobody is told" : String.join("; if nobody sees to it, ", said);
    }

    private static String person(@Nullable Recipient person, String name) {
        List<Way> ways = person == null ? List.of() : person.ways(NoticeGroup.AIR);
        return ways.isEmpty()
                ? name + " (cannot be reached yet)"
                : "%s (%s)"
                        .formatted(
                                name,
                                ways.stream()
                                        .map(Way::channel)
                                        .distinct()
                                        .map(ChannelKind::label)
                                        .map(label -> label.toLowerCase(Locale.ROOT))
                                        .collect(Collectors.joining(", ")));
    }
}
