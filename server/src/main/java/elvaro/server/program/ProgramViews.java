package elvaro.server.program;

import elvaro.core.air.Air;
import elvaro.core.cut.Species;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.notice.NoticeKind;
import elvaro.core.schedule.Work;
import elvaro.core.working.Units;
import elvaro.server.chamber.Chamber;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceView.EntryView;
import elvaro.server.notice.AlarmService.AlarmView;
import elvaro.server.piece.PieceState;
import elvaro.server.reading.AirService.NowView;
import elvaro.server.reading.AirView.AirPointView;
import elvaro.server.reading.ProbeHealth;
import elvaro.server.task.WorkItem;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What programs are shown: in grams, °C and percent, days as ISO 8601, moments in UTC, sentences in plain words. A form that is
 * here once stays; more may come beside.
 */
final class ProgramViews {
    private ProgramViews() {}

    /** A piece, as it is now. */
    @Schema(name = "Piece", description = "A piece, as it is now. What is absent is not known or does not apply.")
    record ProgramPiece(
            @Schema(example = "6f1c1f58-94f5-4c6e-9a53-5f0a0f1d2c3b")
            UUID id,

            @Schema(example = "22A", description = "By which it is called, as on its hang tag.")
            String tag,

            @Schema(example = "Ribeye") String cut,
            Species species,
            PieceState state,
            @Nullable UUID chamberId,
            @Nullable String chamber,
            @Nullable LocalDate hungOn,

            @Nullable @Schema(example = "35", description = "For how many days it was hung.")
            Integer targetDays,

            @Nullable @Schema(description = "Days hung, to the pull where it was pulled.")
            Long day,

            @Schema(description = "Days past its target while it still hangs, else 0.")
            long overdueDays,

            @Schema(example = "8210", description = "What it weighed as it was hung, g.")
            int greenGrams,

            @Schema(example = "6935", description = "The last net weight known, g.")
            int nowGrams,

            @Schema(example = "15.5", description = "Of the green weight, %.")
            double shrinkPercent,

            @Nullable Instant lastWeighedAt,

            @Nullable @Schema(description = "What the forecast says it weighs now, g; while it hangs.")
            Integer expectedNowGrams,

            @Nullable @Schema(description = "What it is expected to weigh on its day, g; while it hangs.")
            Integer expectedPullGrams) {

        static ProgramPiece of(PieceCard card) {
            return new ProgramPiece(
                    card.id(),
                    card.tag(),
                    card.cutName(),
                    card.species(),
                    card.state(),
                    card.chamberId(),
                    card.chamberName(),
                    card.hungOn(),
                    card.targetDays(),
                    card.dayNumber(),
                    card.overdueDays(),
                    card.greenGrams(),
                    card.nowGrams(),
                    Math.round(card.shrinkFraction() * 1000) / 10.0,
                    card.lastWeighedAt(),
                    card.expectedNowGrams(),
                    card.expectedPullGrams());
        }
    }

    /** One entry of a piece's log. */
    @Schema(
            name = "Entry",
            description = "One entry of a piece's log. A wrong one is never changed: another corrects it.")
    record ProgramEntry(
            UUID id,
            LogFactKind kind,

            @Schema(example = "6935", description = "What the scale showed, g; 0 where nothing was weighed.")
            int grams,

            @Schema(description = "What was said about it.") String words,
            Instant happenedAt,
            Instant recordedAt,

            @Schema(example = "Maren Falk", description = "Who wrote it.")
            String by,

            @Nullable @Schema(description = "The entry this one stands in for.")
            UUID corrects,

            @Schema(description = "Whether no other entry corrects it; the rest counts in no figure.")
            boolean stands) {

        static ProgramEntry of(EntryView entry) {
            return new ProgramEntry(
                    entry.id(),
                    entry.kind(),
                    entry.grams(),
                    Units.PLAIN.sentence(entry.words()),
                    entry.happenedAt(),
                    entry.recordedAt(),
                    entry.by(),
                    entry.corrects(),
                    entry.stands());
        }
    }

    /** A chamber and its air now. */
    @Schema(name = "Chamber", description = "A chamber and its air now.")
    record ProgramChamber(
            UUID id,
            @Schema(example = "North Room") String name,

            @Schema(example = "2", description = "To what it is set, °C.")
            double setCelsius,

            @Schema(example = "80", description = "To what it is set, or as it usually is, % RH.")
            double setHumidityPercent,

            ProbeHealth probe,

            @Nullable @Schema(description = "When its air was last measured.")
            Instant measuredAt,

            @Nullable @Schema(example = "2.1") Double celsius,
            @Nullable @Schema(example = "81") Double humidityPercent) {

        static ProgramChamber of(Chamber chamber, Map<UUID, NowView> airs) {
            Air set = chamber.air();
            Optional<NowView> air = Optional.ofNullable(airs.get(chamber.id()));
            return new ProgramChamber(
                    chamber.id(),
                    chamber.name(),
                    set.celsius(),
                    Math.round(set.relativeHumidity() * 1000) / 10.0,
                    air.map(NowView::health).orElse(ProbeHealth.NEVER_HEARD),
                    air.map(each -> each.latest().at()).orElse(null),
                    air.map(each -> each.latest().celsius()).orElse(null),
                    air.map(each -> each.latest().humidityPercent()).orElse(null));
        }
    }

    /** The air of a chamber over a stretch, in steps. */
    @Schema(name = "Air", description = "The air of a chamber over a stretch, in steps.")
    record ProgramAir(
            UUID chamberId,

            @Schema(description = "How much time a point stands for, s.")
            long stepSeconds,

            List<ProgramAirPoint> points) {}

    /** Lowest, mean and highest within a step. */
    @Schema(name = "AirPoint", description = "Mean, lowest and highest within a step, so that no peak is lost.")
    record ProgramAirPoint(
            Instant at,
            @Nullable Double celsius,
            @Nullable Double celsiusMin,
            @Nullable Double celsiusMax,
            @Nullable Double humidityPercent,
            @Nullable Double humidityMin,
            @Nullable Double humidityMax) {

        static ProgramAirPoint of(AirPointView point) {
            return new ProgramAirPoint(
                    point.at(),
                    point.celsius(),
                    point.celsiusMin(),
                    point.celsiusMax(),
                    point.humidityPercent(),
                    point.humidityMin(),
                    point.humidityMax());
        }
    }

    /** Something to do. */
    @Schema(name = "Task", description = "Something to do, due or coming.")
    record ProgramTask(
            Work work,
            @Schema(example = "Weigh") String label,

            @Schema(description = "On which day it is to be done; of what is late, the day it was.")
            LocalDate on,

            @Schema(description = "For how many days it has been due; below 0 it lies ahead.")
            long daysDue,

            @Schema(description = "A piece, lot, plan or chamber, by kind and id.")
            WorkItem.SubjectKind about,

            UUID aboutId,
            @Schema(example = "22A") String tag,
            @Nullable String chamber,
            String words) {

        static ProgramTask of(WorkItem item, LocalDate today) {
            return new ProgramTask(
                    item.work(),
                    item.work().label(),
                    item.on(),
                    item.due().days(today),
                    item.subject().kind(),
                    item.subject().id(),
                    item.subject().tag(),
                    item.subject().chamberName(),
                    Units.PLAIN.sentence(item.words(today)));
        }
    }

    /** What is wrong, or was lately. */
    @Schema(name = "Alarm", description = "What is wrong, or was in the last month.")
    record ProgramAlarm(
            UUID id,
            NoticeKind kind,
            @Nullable UUID chamberId,
            @Schema(example = "Game larder") String about,

            @Schema(example = "7.4 °C, above 5 °C for 40 min")
            String words,

            Instant beganAt,

            @Nullable @Schema(description = "Absent while it goes on.")
            Instant endedAt) {

        static ProgramAlarm of(AlarmView alarm) {
            return new ProgramAlarm(
                    alarm.id(),
                    alarm.kind(),
                    alarm.chamberId(),
                    alarm.subject(),
                    Units.PLAIN.sentence(alarm.words()),
                    alarm.beganAt(),
                    alarm.endedAt());
        }
    }
}
