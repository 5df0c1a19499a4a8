package elvaro.server.rehearsal;

import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.server.account.AccountService;
import elvaro.server.account.PersonView;
import elvaro.server.rehearsal.CourseView.HandLine;
import elvaro.server.rehearsal.CourseView.LessonLine;
import elvaro.server.rehearsal.CourseView.RunningLine;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.SignedIn;
import jakarta.persistence.EntityManager;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The course as it is seen from outside: how far each is, and what is asked of whom. */
@Service
@Transactional
class RehearsalCourse {
    private final AccountService accounts;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final JdbcClient database;

    RehearsalCourse(AccountService accounts, CurrentWorkshop current, EntityManager entities, JdbcClient database) {
        this.accounts = accounts;
        this.current = current;
        this.entities = entities;
        this.database = database;
    }

    private record Ended(RehearsalLesson lesson, boolean passed, int best) {}

    /** @param forAll whether what others passed is told as well */
    @Transactional(readOnly = true)
    public CourseView course(boolean forAll) {
        SignedIn person = RehearsalHouses.outside(current);
        Map<RehearsalLesson, Ended> ended =
                ended(person).stream().collect(Collectors.toMap(Ended::lesson, Function.identity()));
        Map<UUID, Set<RehearsalLesson>> asked = asked();
        Set<RehearsalLesson> mine = asked.getOrDefault(person.accountId(), Set.of());
        List<LessonLine> lessons = Arrays.stream(RehearsalLesson.values())
                .map(lesson -> {
                    Ended each = ended.get(lesson);
                    return new LessonLine(
                            lesson,
                            lesson.title(),
                            lesson.task(),
                            each != null && each.passed(),
                            each == null ? null : each.best(),
                            mine.contains(lesson));
                })
                .toList();
        return new CourseView(
                lessons, running(person), forAll ? hands(person, asked) : List.of(), RehearsalForm.purse());
    }

    private List<Ended> ended(SignedIn person) {
        return database.sql(
                        "select lesson, max(passed) as passed, max(score) as best from rehearsal where of_workshop_id = ?"
                                + " and of_account_id = ? and lesson is not null and ended_at is not null group by lesson")
                .params(person.workshopId(), person.accountId())
                .query((row, number) -> new Ended(
                        RehearsalLesson.valueOf(row.getString("lesson")), row.getBoolean("passed"), row.getInt("best")))
                .list();
    }

    private List<RunningLine> running(SignedIn person) {
        return database.sql("select id, lesson, begun_at from rehearsal where of_workshop_id = ? and of_account_id = ?"
                        + " and ended_at is null order by begun_at desc")
                .params(person.workshopId(), person.accountId())
                .query((row, number) -> new RunningLine(
                        UUID.fromString(row.getString("id")),
                        RehearsalHouses.title(
                                row.getString("lesson") == null
                                        ? null
                                        : RehearsalLesson.valueOf(row.getString("lesson"))),
                        row.getObject("begun_at", LocalDateTime.class).toInstant(ZoneOffset.UTC)))
                .list();
    }

    private List<HandLine> hands(SignedIn person, Map<UUID, Set<RehearsalLesson>> asked) {
        Map<UUID, Set<RehearsalLesson>> passed = new HashMap<>();
        database.sql("select distinct of_account_id, lesson from rehearsal where of_workshop_id = ? and passed"
                        + " and lesson is not null")
                .param(person.workshopId())
                .query((row, number) -> add(passed, row.getString(1), row.getString(2)))
                .list();
        return accounts.people().stream()
                .filter(PersonView::active)
                .map(each -> new HandLine(
                        each.id(),
                        each.name(),
                        RehearsalLesson.values().length,
                        sorted(passed.getOrDefault(each.id(), Set.of())),
                        sorted(asked.getOrDefault(each.id(), Set.of()))))
                .toList();
    }

    private static List<RehearsalLesson> sorted(Set<RehearsalLesson> lessons) {
        return lessons.stream().sorted().toList();
    }

    private static boolean add(Map<UUID, Set<RehearsalLesson>> all, String account, String lesson) {
        return all.computeIfAbsent(UUID.fromString(account), id -> EnumSet.noneOf(RehearsalLesson.class))
                .add(RehearsalLesson.valueOf(lesson));
    }

    /** By account, in this workshop. */
    private Map<UUID, Set<RehearsalLesson>> asked() {
        return entities.createQuery("select a from LessonAsked a", LessonAsked.class)
                .getResultStream()
                .collect(Collectors.groupingBy(
                        LessonAsked::accountId,
                        Collectors.mapping(
                                LessonAsked::lesson,
                                Collectors.toCollection(() -> EnumSet.noneOf(RehearsalLesson.class)))));
    }

    /**
     * What a person is to pass before they work alone, instead of what was asked before; sent again, it is asked once.
     *
     * @throws Refusal if there is no such person here
     */
    void ask(UUID accountId, Set<RehearsalLesson> lessons) {
        if (accounts.people().stream().noneMatch(each -> each.id().equals(accountId))) {
            throw Refusal.notFound("person");
        }
        entities.createQuery("delete from LessonAsked a where a.accountId = :account")
                .setParameter("account", accountId)
                .executeUpdate();
        lessons.forEach(lesson ->
                entities.persist(new LessonAsked(Ids.after(accountId, "asked " + lesson), accountId, lesson)));
    }
}
