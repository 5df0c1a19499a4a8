package elvaro.server.notice;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.notice.NoticeGroup;
import elvaro.server.channel.ChannelKind;
import elvaro.server.notice.AlarmStep.Who;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What lies in one column comes out as it went in. */
class AlarmStepTest {

    @Test
    void steps_come_out_of_their_column_as_they_went_in() {
        List<AlarmStep> steps = List.of(
                new AlarmStep(Who.KEEPER, null, 0),
                new AlarmStep(Who.PERSON, new UUID(4, 2), 15),
                new AlarmStep(Who.EVERYBODY, null, 90));
        AlarmStep.Steps column = new AlarmStep.Steps();
        assertThat(column.convertToEntityAttribute(column.convertToDatabaseColumn(steps)))
                .isEqualTo(steps);
    }

    @Test
    void ways_come_out_of_their_column_as_they_went_in_none_too() {
        Map<NoticeGroup, Set<ChannelKind>> ways =
                Map.of(NoticeGroup.AIR, Set.of(ChannelKind.PUSH, ChannelKind.EMAIL), NoticeGroup.DAY, Set.of());
        Ways column = new Ways();
        assertThat(column.convertToEntityAttribute(column.convertToDatabaseColumn(ways)))
                .isEqualTo(ways);
        assertThat(column.convertToEntityAttribute("")).isEmpty();
    }
}
