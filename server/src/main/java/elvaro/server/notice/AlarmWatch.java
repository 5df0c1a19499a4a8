package elvaro.server.notice;

import static elvaro.core.working.Quantity.mass;

import elvaro.core.notice.AirLimits;
import elvaro.core.notice.AirTrouble;
import elvaro.core.notice.AirTrouble.Lately;
import elvaro.core.notice.NoticeKind;
import elvaro.server.backup.LastBackup;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.device.DeviceService;
import elvaro.server.device.DeviceService.DeviceView;
import elvaro.server.guard.DiskRoom;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.piece.Piece;
import elvaro.server.reading.AirLately;
import elvaro.server.settings.WorkshopService;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Finds what is wrong now: the air of chambers in which something hangs, the last backup, the disk. What is found is an alarm
 * until it is over; an empty chamber is nobody's worry.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class AlarmWatch {
    private static final long DISK_FILLING = 1_000_000_000;
    private static final long DISK_WELL = 1_500_000_000;
    private static final long GIGABYTE = 1_000_000_000;

    private final AlarmRepository alarms;
    private final NoticeSettings settings;
    private final ChamberService chambers;
    private final DeviceService devices;
    private final PieceQueries pieces;
    private final AirLately air;
    private final LastBackup backup;
    private final DiskRoom disk;
    private final WorkshopService workshops;
    private final Clock clock;

    AlarmWatch(
            AlarmRepository alarms,
            NoticeSettings settings,
            ChamberService chambers,
            DeviceService devices,
            PieceQueries pieces,
            AirLately air,
            LastBackup backup,
            DiskRoom disk,
            WorkshopService workshops,
            Clock clock) {
        this.alarms = alarms;
        this.settings = settings;
        this.chambers = chambers;
        this.devices = devices;
        this.pieces = pieces;
        this.air = air;
        this.backup = backup;
        this.disk = disk;
        this.workshops = workshops;
        this.clock = clock;
    }

    /**
     * What became of the alarms by this look.
     *
     * @param wrong those that are as they were found; what settles is neither wrong nor over
     */
    record FoundNow(List<Alarm> wrong, List<Alarm> ended) {}

    /** What is wrong, and what no longer is. */
    FoundNow look() {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        Map<String, Alarm> open = new HashMap<>();
        alarms.open().forEach(alarm -> open.put(alarm.openName(), alarm));
        Set<String> going = new HashSet<>();
        Set<String> settling = new HashSet<>();
        lookAtTheAir(open, going, settling, now);
        lookAtTheHouse(open, going, now);
        List<Alarm> ended = open.values().stream()
                .filter(alarm -> !going.contains(alarm.openName()))
                .toList();
        ended.forEach(alarm -> alarm.end(now, ending(alarm, now)));
        return new FoundNow(
                open.values().stream()
                        .filter(alarm -> going.contains(alarm.openName()) && !settling.contains(alarm.openName()))
                        .toList(),
                ended);
    }

    private void lookAtTheAir(Map<String, Alarm> open, Set<String> going, Set<String> settling, Instant now) {
        Set<UUID> used = load().keySet();
        Set<UUID> probed = devices.open().stream()
                .map(DeviceView::chamberId)
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
        Map<UUID, Lately> measured = air.of(used, probed);
        HouseNotices house = settings.house();
        for (Chamber chamber : chambers.all()) {
            Lately lately = measured.get(chamber.id());
            if (lately == null) {
                continue;
            }
            Set<NoticeKind> known = EnumSet.noneOf(NoticeKind.class);
            open.values().stream()
                    .filter(alarm -> alarm.chamberId().equals(Optional.of(chamber.id())))
                    .forEach(alarm -> known.add(alarm.kind()));
            for (AirTrouble trouble : AirTrouble.of(lately, limits(house, chamber), known, now)) {
                if (!trouble.told()) {
                    settling.add(Alarm.name(trouble.kind(), chamber.id()));
                }
                if (trouble.told() || known.contains(trouble.kind())) {
                    goOn(open, going, trouble.kind(), chamber, trouble.words(), trouble.from(), now);
                }
            }
        }
    }

    private static AirLimits limits(HouseNotices house, Chamber chamber) {
        Integer percent = chamber.setHumidityPercent();
        return house.limits(
                chamber.setCelsius(), percent == null ? OptionalDouble.empty() : OptionalDouble.of(percent / 100.0));
    }

    private void lookAtTheHouse(Map<String, Alarm> open, Set<String> going, Instant now) {
        backup.last()
                .filter(last -> !last.made())
                .ifPresent(last ->
                        goOn(open, going, NoticeKind.BACKUP, null, "a backup failed: " + last.words(), last.at(), now));
        long free = disk.free();
        boolean told = open.containsKey(Alarm.name(NoticeKind.DISK, null));
        if (free < (told ? DISK_WELL : DISK_FILLING)) {
            String words = "%.1f GB are free where the data lie".formatted((double) free / GIGABYTE);
            goOn(open, going, NoticeKind.DISK, null, words, now, now);
        }
    }

    private void goOn(
            Map<String, Alarm> open,
            Set<String> going,
            NoticeKind kind,
            @Nullable Chamber chamber,
            String words,
            Instant from,
            Instant now) {
        UUID chamberId = chamber == null ? null : chamber.id();
        String name = Alarm.name(kind, chamberId);
        going.add(name);
        Alarm known = open.get(name);
        if (known == null) {
            String subject = chamber == null ? workshops.mine().name() : chamber.name();
            open.put(
                    name,
                    alarms.save(new Alarm(kind, chamberId, subject, words, from.truncatedTo(ChronoUnit.MICROS), now)));
        } else if (!known.words().equals(words)) {
            known.goOn(words);
        }
    }

    /** How it was, in a sentence. */
    String ending(Alarm alarm, Instant now) {
        boolean empty = alarm.chamberId()
                .filter(chamber -> !load().containsKey(chamber))
                .isPresent();
        return empty
                ? "Nothing hangs there any more."
                : "It lasted %s.".formatted(AirTrouble.length(java.time.Duration.between(alarm.beganAt(), now)));
    }

    /** What hangs in each chamber, g; chambers in which nothing does are not among them. */
    private Map<UUID, Integer> load() {
        return hanging()
                .collect(Collectors.groupingBy(
                        piece -> piece.chamber().orElseThrow().id(), Collectors.summingInt(Piece::greenGrams)));
    }

    private java.util.stream.Stream<Piece> hanging() {
        return pieces.hangingNow().stream().filter(piece -> piece.chamber().isPresent());
    }

    /** What hangs where an alarm is, in words; empty where it is about the house. */
    Optional<String> hangs(Alarm alarm) {
        return alarm.chamberId().map(chamber -> {
            List<Piece> there = hanging()
                    .filter(piece -> piece.chamber().orElseThrow().id().equals(chamber))
                    .toList();
            int grams = there.stream().mapToInt(Piece::greenGrams).sum();
            return there.size() == 1
                    ? "One piece hangs there, %s.".formatted(mass(grams))
                    : "%d pieces hang there, %s.".formatted(there.size(), mass(grams));
        });
    }
}
