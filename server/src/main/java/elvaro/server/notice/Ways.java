package elvaro.server.notice;

import elvaro.core.notice.NoticeGroup;
import elvaro.server.channel.ChannelKind;
import jakarta.persistence.AttributeConverter;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** By which ways a person is told of what, as one column, {@code DAY:EMAIL+PUSH AIR:PUSH}: it is changed as a whole. */
class Ways implements AttributeConverter<Map<NoticeGroup, Set<ChannelKind>>, String> {
    /** As everybody begins: told of all, by every way that person has. */
    static Map<NoticeGroup, Set<ChannelKind>> all() {
        Map<NoticeGroup, Set<ChannelKind>> ways = new EnumMap<>(NoticeGroup.class);
        for (NoticeGroup group : NoticeGroup.values()) {
            ways.put(group, EnumSet.of(ChannelKind.EMAIL, ChannelKind.PUSH));
        }
        return ways;
    }

    @Override
    public String convertToDatabaseColumn(@Nullable Map<NoticeGroup, Set<ChannelKind>> ways) {
        return ways == null
                ? ""
                : ways.entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(each -> each.getKey() + ":"
                                + each.getValue().stream()
                                        .sorted()
                                        .map(Enum::name)
                                        .collect(Collectors.joining("+")))
                        .collect(Collectors.joining(" "));
    }

    @Override
    public Map<NoticeGroup, Set<ChannelKind>> convertToEntityAttribute(@Nullable String column) {
        Map<NoticeGroup, Set<ChannelKind>> ways = new EnumMap<>(NoticeGroup.class);
        if (column != null && !column.isEmpty()) {
            for (String each : column.split(" ")) {
                String[] pair = each.split(":", 2);
                ways.put(
                        NoticeGroup.valueOf(pair[0]),
                        Arrays.stream(pair[1].split("\\+"))
                                .filter(name -> !name.isEmpty())
                                .map(ChannelKind::valueOf)
                                .collect(Collectors.toSet()));
            }
        }
        return ways;
    }
}
