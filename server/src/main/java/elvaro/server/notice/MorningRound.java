package elvaro.server.notice;

import elvaro.core.notice.LateWork;
import elvaro.core.notice.Loudness;
import elvaro.core.notice.MorningList;
import elvaro.core.notice.MorningList.Line;
import elvaro.core.notice.NoticeGroup;
import elvaro.core.notice.NoticeKind;
import elvaro.core.notice.NoticeText;
import elvaro.core.notice.NoticeText.Section;
import elvaro.core.plan.OtherDay;
import elvaro.core.schedule.Work;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.notice.NoticeWriter.Telling;
import elvaro.server.piece.Piece;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Sha256;
import elvaro.server.task.WorkItem;
import elvaro.server.task.WorkList;
import elvaro.server.tasting.MissingSheets;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Tells each person once in the morning what is due and late, and of questions as soon as they come up. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class MorningRound {
    private static final long NEVER = 10_000;

    private final WorkList work;
    private final PieceQueries pieces;
    private final ChamberService chambers;
    private final MissingSheets sheets;
    private final NoticeRepository notices;
    private final NoticeWriter writer;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final JdbcClient database;
    private final Clock clock;

    MorningRound(
            WorkList work,
            PieceQueries pieces,
            ChamberService chambers,
            MissingSheets sheets,
            NoticeRepository notices,
            NoticeWriter writer,
            WorkshopService workshops,
            CurrentWorkshop current,
            JdbcClient database,
            Clock clock) {
        this.work = work;
        this.pieces = pieces;
        this.chambers = chambers;
        this.sheets = sheets;
        this.notices = notices;
        this.writer = writer;
        this.workshops = workshops;
        this.current = current;
        this.database = database;
        this.clock = clock;
    }

    /** The work of the house as it is told, read once for everybody. */
    private record Room(List<WorkItem> items, Map<String, Optional<UUID>> keepers, LocalDate today) {
        /** What belongs to no chamber, or to one nobody keeps, is everybody's. */
        Predicate<WorkItem> isOf(Recipient person) {
            return item -> {
                String chamber = item.subject().chamberName();
                Optional<UUID> keeper =
                        chamber == null ? Optional.empty() : keepers.getOrDefault(chamber, Optional.empty());
                return !person.ownWorkOnly()
                        || keeper.isEmpty()
                        || keeper.equals(Optional.ofNullable(person.accountId()));
            };
        }
    }

    private Room room() {
        Map<String, Optional<UUID>> keepers = new HashMap<>();
        for (Chamber chamber : chambers.all()) {
            keepers.put(chamber.name(), chamber.keeperId());
        }
        return new Room(work.today(pieces.inTheRoom(workshops.mine().clock())), keepers, workshops.today());
    }

    /**
     * Tells what is to be told now.
     *
     * @param everybody who can be told
     * @param alarmed chambers with an open alarm: what is asked of their air is asked when it is over
     */
    void go(List<Recipient> everybody, Set<UUID> alarmed) {
        Instant now = clock.instant();
        List<Recipient> morning = everybody.stream()
                .filter(each -> each.hears(NoticeGroup.DAY, now) && isMorning(each, now))
                .toList();
        List<Recipient> asked = everybody.stream()
                .filter(each -> each.hears(NoticeGroup.QUESTION, now))
                .toList();
        if (morning.isEmpty() && asked.isEmpty()) {
            return;
        }
        Room room = room();
        morning.forEach(each -> tell(each, room, now));
        asked.forEach(each -> ask(each, room, alarmed));
    }

    private static LocalDate day(Recipient person, Instant now) {
        return now.atZone(person.zone()).toLocalDate();
    }

    private boolean isMorning(Recipient person, Instant now) {
        return !person.time(now).isBefore(person.morningAt())
                && lastMorning(person)
                        .filter(last -> last.equals(day(person, now)))
                        .isEmpty();
    }

    private Optional<LocalDate> lastMorning(Recipient person) {
        return database.sql("select day from morning where account_id = ? and workshop_id = ?")
                .params(account(person), current.person().workshopId())
                .query(LocalDate.class)
                .optional();
    }

    private UUID account(Recipient person) {
        return person.accountId() == null ? current.person().workshopId() : person.accountId();
    }

    private void tell(Recipient person, Room room, Instant now) {
        LocalDate day = day(person, now);
        long since = lastMorning(person)
                .filter(last -> last.isBefore(day)) // else a clock was wrong
                .map(last -> ChronoUnit.DAYS.between(last, day))
                .orElse(NEVER);
        database.sql("replace into morning (account_id, workshop_id, day) values (?, ?, ?)")
                .params(account(person), current.person().workshopId(), day)
                .update();
        MorningList list = list(person, room, since);
        if (!list.isEmpty()) {
            writer.tell(
                    person,
                    new Telling(
                            "morning-" + day,
                            NoticeKind.MORNING,
                            list.loudness(),
                            list.text(),
                            "/",
                            null,
                            about(questions(person, room))));
        }
    }

    private MorningList list(Recipient person, Room room, long since) {
        List<WorkItem> due = new ArrayList<>();
        List<WorkItem> late = new ArrayList<>();
        int open = 0;
        Predicate<WorkItem> own = room.isOf(person);
        for (WorkItem item : room.items) {
            long days = item.due().days(room.today);
            boolean mine = own.test(item) || person.owner() && LateWork.isForOwners(days);
            if (mine && days <= 0) {
                due.add(item);
            } else if (mine && LateWork.isTold(days, since)) {
                late.add(item);
            } else if (mine) {
                open++;
            }
        }
        // The longest late first; of those that are named it is worth knowing what waiting costs.
        late.sort((one, other) -> one.on().compareTo(other.on()));
        List<Line> lines = new ArrayList<>();
        for (WorkItem item : late) {
            lines.add(line(item, room.today, lines.size() < MorningList.named() ? waiting(item) : Optional.empty()));
        }
        return new MorningList(
                due.stream()
                        .map(item -> line(item, room.today, Optional.empty()))
                        .toList(),
                lines,
                open,
                missing(person));
    }

    private List<String> missing(Recipient person) {
        return sheets.all().stream()
                .filter(each -> person.accountId() == null || each.hostId().equals(person.accountId()))
                .map(MissingSheets.WaitingTasting::words)
                .toList();
    }

    private Optional<String> waiting(WorkItem item) {
        if (item.work() != Work.PULL_OVERDUE) {
            return Optional.empty();
        }
        Piece piece = pieces.find(item.subject().id());
        int today = (int) ChronoUnit.DAYS.between(piece.hungOn().orElseThrow(), workshops.today());
        return pieces.aWeekOn(piece, today).flatMap(OtherDay::waiting).map(words -> words + ".");
    }

    private static Line line(WorkItem item, LocalDate today, Optional<String> waiting) {
        return new Line(
                item.work() == Work.PULL_OVERDUE
                        ? Work.PULL.label()
                        : item.work().label(),
                item.subject().tag(),
                item.subject().name(),
                item.words(today),
                waiting,
                Math.max(0, item.due().days(today)),
                item.work() == Work.PULL
                        || item.work() == Work.PULL_OVERDUE
                        || item.work().asksAPerson(),
                item.at());
    }

    /** One notice however many questions there are; told again when another came up. */
    private void ask(Recipient person, Room room, Set<UUID> alarmed) {
        List<WorkItem> asked = questions(person, room).stream()
                .filter(item -> !alarmed.contains(item.subject().id()))
                .toList();
        String about = about(asked);
        if (about == null || toldBefore(person).containsAll(Arrays.asList(about.split("\n")))) {
            return;
        }
        writer.tell(
                person,
                new Telling(
                        "questions-%s-%s"
                                .formatted(
                                        room.today,
                                        Sha256.of(about.getBytes(StandardCharsets.UTF_8))
                                                .substring(0, 16)),
                        NoticeKind.QUESTION,
                        Loudness.NORMAL,
                        text(asked, room.today),
                        asked.size() == 1 ? asked.get(0).at() : "/",
                        null,
                        about));
    }

    private static List<WorkItem> questions(Recipient person, Room room) {
        return room.items.stream()
                .filter(item -> item.work().asksAPerson())
                .filter(room.isOf(person))
                .toList();
    }

    /** By which questions are known again. */
    private static @Nullable String about(List<WorkItem> questions) {
        return questions.isEmpty()
                ? null
                : questions.stream().map(WorkItem::name).sorted().collect(Collectors.joining("\n"));
    }

    private Set<String> toldBefore(Recipient person) {
        return (person.accountId() == null
                        ? notices.lastQuestionsOfTheHouse()
                        : notices.lastQuestions(person.accountId()))
                .map(notice -> new HashSet<>(Arrays.asList(notice.about().split("\n"))))
                .orElse(new HashSet<>());
    }

    private static NoticeText text(List<WorkItem> asked, LocalDate today) {
        List<Line> lines =
                asked.stream().map(item -> line(item, today, Optional.empty())).toList();
        String title = asked.size() == 1
                ? "%s: %s".formatted(lines.get(0).tag(), lines.get(0).words())
                : asked.size() + " questions wait for you";
        return new NoticeText(title, List.of(new Section("To decide", MorningList.said(lines))));
    }
}
