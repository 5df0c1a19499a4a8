package elvaro.server.notice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anySet;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import elvaro.core.keeping.Excursions.TimedReading;
import elvaro.core.notice.AirLimits;
import elvaro.core.notice.AirTrouble.Lately;
import elvaro.core.notice.NoticeKind;
import elvaro.server.backup.LastBackup;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.device.DeviceService;
import elvaro.server.guard.DiskRoom;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.piece.Piece;
import elvaro.server.reading.AirLately;
import elvaro.server.settings.Workshop;
import elvaro.server.settings.WorkshopService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;
import org.mockito.junit.jupiter.MockitoSettings;
import org.mockito.quality.Strictness;

@ExtendWith(MockitoExtension.class)
@MockitoSettings(strictness = Strictness.LENIENT)
class AlarmWatchTest {
    private static final Instant NOW = Instant.parse("2026-11-28T03:00:00Z");
    private static final UUID CHAMBER = new UUID(7, 7);

    @Mock
    private AlarmRepository alarms;

    @Mock
    private NoticeSettings settings;

    @Mock
    private ChamberService chambers;

    @Mock
    private DeviceService devices;

    @Mock
    private PieceQueries pieces;

    @Mock
    private AirLately air;

    @Mock
    private LastBackup backup;

    @Mock
    private DiskRoom disk;

    @Mock
    private WorkshopService workshops;

    private AlarmWatch watch;

    @BeforeEach
    void a_chamber_in_which_something_hangs() {
        Chamber chamber = mock(Chamber.class);
        when(chamber.id()).thenReturn(CHAMBER);
        when(chamber.name()).thenReturn("North Room");
        when(chamber.setCelsius()).thenReturn(2.0);
        when(chambers.all()).thenReturn(List.of(chamber));
        Piece piece = mock(Piece.class);
        when(piece.chamber()).thenReturn(Optional.of(chamber));
        when(piece.greenGrams()).thenReturn(6000);
        when(pieces.hangingNow()).thenReturn(List.of(piece));
        when(settings.house()).thenReturn(new HouseNotices(new UUID(1, 1)));
        when(alarms.save(any())).thenAnswer(call -> call.getArgument(0));
        Workshop house = mock(Workshop.class);
        when(house.name()).thenReturn("Brackenrow");
        when(workshops.mine()).thenReturn(house);
        when(disk.free()).thenReturn(Long.MAX_VALUE);
        when(backup.last()).thenReturn(Optional.empty());
        watch = new AlarmWatch(
                alarms,
                settings,
                chambers,
                devices,
                pieces,
                air,
                backup,
                disk,
                workshops,
                Clock.fixed(NOW, ZoneOffset.UTC));
    }

    private void measured(double celsius, int minutes) {
        List<TimedReading> readings = IntStream.rangeClosed(0, minutes)
                .mapToObj(minute -> new TimedReading(NOW.minus(Duration.ofMinutes(minutes - minute)), celsius))
                .toList();
        when(air.of(anySet(), anySet())).thenReturn(Map.of(CHAMBER, new Lately(readings, List.of(), true)));
    }

    private Alarm known(NoticeKind kind, UUID chamber) {
        Alarm alarm = new Alarm(kind, chamber, "North Room", "as it was found", NOW.minusSeconds(9_000), NOW);
        when(alarms.open()).thenReturn(List.of(alarm));
        return alarm;
    }

    @Test
    void what_is_wrong_long_enough_is_an_alarm_and_what_was_found_is_not_found_again() {
        measured(9, AirLimits.WARM_MINUTES + 1);
        assertThat(watch.look().wrong()).extracting(Alarm::kind).containsExactly(NoticeKind.WARM);
        Alarm known = known(NoticeKind.WARM, CHAMBER);
        assertThat(watch.look().wrong()).containsExactly(known);
        assertThat(known.words()).as("as it is now").contains("above");
    }

    @Test
    void what_is_over_ends_and_says_how_long_it_lasted() {
        measured(2, 60);
        Alarm known = known(NoticeKind.WARM, CHAMBER);
        assertThat(watch.look().ended()).containsExactly(known);
        assertThat(known.endWords()).hasValue("It lasted 2 hours.");
    }

    @Test
    void an_alarm_ends_with_the_last_piece() {
        measured(9, 60);
        Alarm known = known(NoticeKind.WARM, CHAMBER);
        when(pieces.hangingNow()).thenReturn(List.of());
        when(air.of(anySet(), anySet())).thenReturn(Map.of());
        assertThat(watch.look().ended()).containsExactly(known);
        assertThat(known.endWords()).hasValue("Nothing hangs there any more.");
    }

    @Test
    void a_failed_backup_and_a_filling_disk_are_alarms_of_the_house() {
        when(backup.last()).thenReturn(Optional.of(new LastBackup.Attempt(false, NOW, "no room")));
        when(disk.free()).thenReturn(700_000_000L);
        assertThat(watch.look().wrong())
                .extracting(Alarm::subject, Alarm::words)
                .containsExactlyInAnyOrder(
                        org.assertj.core.groups.Tuple.tuple("Brackenrow", "a backup failed: no room"),
                        org.assertj.core.groups.Tuple.tuple("Brackenrow", "0.7 GB are free where the data lie"));
    }

    @Test
    void a_disk_that_fills_is_told_until_there_is_clearly_more_room() {
        when(disk.free()).thenReturn(1_200_000_000L);
        assertThat(watch.look().wrong()).isEmpty();
        verify(alarms, never()).save(any());
        Alarm known = known(NoticeKind.DISK, null);
        assertThat(watch.look().wrong()).containsExactly(known);
        when(disk.free()).thenReturn(1_600_000_000L);
        assertThat(watch.look().ended()).containsExactly(known);
    }
}
