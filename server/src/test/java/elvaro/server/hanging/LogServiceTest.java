package elvaro.server.hanging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.lenient;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;

import elvaro.core.drying.Method;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.core.ledger.Piles;
import elvaro.core.ledger.Stream;
import elvaro.core.question.Question;
import elvaro.server.forecast.SurpriseCheck;
import elvaro.server.hanging.LogService.CleanPile;
import elvaro.server.lot.DecisionService;
import elvaro.server.lot.Lot;
import elvaro.server.piece.LogEntry;
import elvaro.server.piece.LogReader;
import elvaro.server.piece.LogWriter;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceDraft;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceRole;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.Workshop;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.EnumSource.Mode;
import org.mockito.ArgumentCaptor;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;

/** What the log takes, what it refuses and what it asks about, without a database. */
@ExtendWith(MockitoExtension.class)
class LogServiceTest {
    private static final Instant NOW = Instant.parse("2026-03-20T10:00:00Z");
    private static final LocalDate HUNG = LocalDate.of(2026, 3, 6);
    private static final UUID PIECE = UUID.randomUUID();

    @Mock
    PieceReader pieces;

    @Mock
    PieceWriter writer;

    @Mock
    LogReader entries;

    @Mock
    LogWriter log;

    @Mock
    DecisionService decisions;

    @Mock
    WorkshopService workshops;

    @Mock
    CurrentWorkshop current;

    @Mock
    SurpriseCheck surprise;

    @Mock
    Lot lot;

    @Mock
    Workshop workshop;

    private LogService service;

    @BeforeEach
    void a_piece_of_8000_g_hangs_since_a_fortnight() {
        Clock clock = Clock.fixed(NOW, ZoneOffset.UTC);
        service = new LogService(pieces, writer, entries, log, decisions, workshops, current, surprise, clock);
        Piece piece = PieceDraft.hung(PIECE, lot, "1A", PieceRole.PLAIN, 8000, Method.OPEN_AIR, HUNG, 28)
                .piece();
        lenient().when(writer.lock(PIECE)).thenReturn(piece);
        lenient().when(lot.receivedOn()).thenReturn(HUNG.minusDays(30));
        lenient().when(workshops.mine()).thenReturn(workshop);
        lenient().when(workshop.clock()).thenReturn(new HouseClock(ZoneOffset.UTC));
        lenient().when(workshop.divisionGrams()).thenReturn(5);
        lenient()
                .when(current.person())
                .thenReturn(new SignedIn(UUID.randomUUID(), UUID.randomUUID(), Role.BENCH_HAND, true, null));
        lenient().when(surprise.at(any(), any(), any())).thenReturn(Optional.empty());
    }

    private static EntryForm form(LogFactKind kind, int grams, @Nullable Stream stream, @Nullable Instant at) {
        return new EntryForm(kind, grams, stream, "", at, null, Map.of());
    }

    private Refusal refused(EntryForm form) {
        Refusal refusal = catchThrowableOfType(Refusal.class, () -> service.write(PIECE, UUID.randomUUID(), form));
        verify(log, never()).append(any(), any());
        verify(log, never()).append(any(), any(), any());
        return refusal;
    }

    /** What has a place of its own, where more is kept of it, is not written here. */
    @ParameterizedTest
    @EnumSource(
            value = LogFactKind.class,
            mode = Mode.INCLUDE,
            names = {"CLOSED", "REOPENED", "LOOKED", "LEAKED", "MOVED", "HUNG", "TREATED", "STEP_DONE"})
    void what_is_written_elsewhere_is_refused(LogFactKind kind) {
        assertThat(refused(form(kind, 0, null, null)).type()).isEqualTo("wrong-kind");
    }

    @ParameterizedTest(name = "{0} of {1} g onto {2} at {3}: {4}")
    @CsvSource({
        "WEIGHED, 0, , , no-weight",
        "WITHDRAWN, 8400, , , impossible-weight",
        "WEIGHED, 7800, , 2026-03-20T11:00:00Z, future-date",
        "WEIGHED, 7800, , 2026-03-05T11:00:00Z, before-hanging",
        "PILE, 500, STEAK, , wrong-state",
        "NOTE, 0, , , no-words",
    })
    void what_cannot_be_is_refused_and_nothing_is_written(
            LogFactKind kind, int grams, @Nullable Stream stream, @Nullable Instant at, String type) {
        assertThat(refused(form(kind, grams, stream, at)).type()).isEqualTo(type);
    }

    @Test
    void a_weighing_is_appended_with_who_and_when() {
        service.write(PIECE, UUID.randomUUID(), form(LogFactKind.WEIGHED, 7_500, null, null));
        ArgumentCaptor<LogEntry> entry = ArgumentCaptor.forClass(LogEntry.class);
        verify(log).append(any(), entry.capture(), eq(PieceState.HANGING));
        assertThat(entry.getValue().grams()).isEqualTo(7_500);
        assertThat(entry.getValue().happenedAt()).isEqualTo(NOW);
        assertThat(entry.getValue().accountId()).isEqualTo(current.person().accountId());
    }

    @Test
    void a_pull_brings_the_piece_to_the_bench() {
        service.write(PIECE, UUID.randomUUID(), form(LogFactKind.PULLED, 7_300, null, null));
        verify(log).append(any(), any(), eq(PieceState.PULLED));
    }

    @Test
    void a_weight_the_forecast_did_not_expect_is_asked_about_and_kept_with_its_answer() {
        lenient()
                .when(surprise.at(any(), any(), any()))
                .thenReturn(Optional.of(Question.confirm("surprise", "grams", "Is it the right piece?")));
        UUID id = UUID.randomUUID();
        Refusal asked = catchThrowableOfType(
                Refusal.class, () -> service.write(PIECE, id, form(LogFactKind.WEIGHED, 7_100, null, null)));
        assertThat(asked.questions()).extracting(Question::id).containsExactly("surprise");
        service.write(
                PIECE, id, new EntryForm(LogFactKind.WEIGHED, 7_100, null, "", null, null, Map.of("surprise", "")));
        verify(log).append(any(), any(), eq(PieceState.HANGING));
        verify(decisions).keep(any(), eq(PIECE), any());
    }

    @Test
    void the_same_entry_sent_again_is_written_once_and_another_under_its_id_is_told() {
        UUID id = UUID.randomUUID();
        LogEntry known = new LogEntry(
                PIECE, new LogFact(id, null, LogFactKind.WEIGHED, NOW, 7_500, null), "", NOW, UUID.randomUUID());
        lenient().when(entries.findById(id)).thenReturn(Optional.of(known));
        service.write(PIECE, id, form(LogFactKind.WEIGHED, 7_500, null, null));
        Refusal other = catchThrowableOfType(
                Refusal.class, () -> service.write(PIECE, id, form(LogFactKind.WEIGHED, 7_400, null, null)));
        assertThat(other.type()).isEqualTo("id-used");
        EntryForm reworded = new EntryForm(LogFactKind.WEIGHED, 7_500, null, "soft", null, null, Map.of());
        Refusal words = catchThrowableOfType(Refusal.class, () -> service.write(PIECE, id, reworded));
        assertThat(words.type()).as("other words are not lost without a word").isEqualTo("id-used");
        verify(log, never()).append(any(), any(), any());
    }

    private Instant keptFor(Instant at, @Nullable Instant sentAt) {
        EntryForm form = new EntryForm(
                LogFactKind.WEIGHED, 7_500, null, "", at, null, Map.of(), null, null, null, null, null, sentAt);
        service.write(PIECE, UUID.randomUUID(), form);
        ArgumentCaptor<LogEntry> entry = ArgumentCaptor.forClass(LogEntry.class);
        verify(log).append(any(), entry.capture(), eq(PieceState.HANGING));
        return entry.getValue().happenedAt();
    }

    @Test
    void a_device_whose_clock_is_forty_minutes_ahead_is_corrected() {
        Instant weighed = NOW.plusSeconds(30 * 60);
        assertThat(keptFor(weighed, NOW.plusSeconds(40 * 60))).isEqualTo(NOW.minusSeconds(10 * 60));
    }

    @Test
    void a_device_whose_clock_is_a_day_behind_is_corrected() {
        Instant sent = NOW.minusSeconds(86_400);
        assertThat(keptFor(sent.minusSeconds(60), sent)).isEqualTo(NOW.minusSeconds(60));
    }

    @Test
    void a_weight_a_little_ahead_is_of_now_and_so_does_not_stay_the_newest() {
        assertThat(keptFor(NOW.plusSeconds(240), null)).isEqualTo(NOW);
    }

    @Test
    void what_was_corrected_already_is_not_corrected_again() {
        LogEntry wrong = new LogEntry(
                PIECE,
                new LogFact(UUID.randomUUID(), null, LogFactKind.WEIGHED, NOW, 7_900, null),
                "",
                NOW,
                UUID.randomUUID());
        LogEntry right = new LogEntry(
                PIECE,
                new LogFact(UUID.randomUUID(), wrong.id(), LogFactKind.WEIGHED, NOW, 7_500, null),
                "",
                NOW,
                UUID.randomUUID());
        lenient().when(entries.ofPiece(PIECE)).thenReturn(List.of(wrong, right));
        EntryForm again = new EntryForm(LogFactKind.WEIGHED, 7_400, null, "", null, wrong.id(), Map.of());
        assertThat(refused(again).type()).isEqualTo("corrected-already");
    }

    /** Two bags of one untrimmed pile of 3000 g; each gives steak and bone, the rest drips. */
    @Test
    void bag_by_bag_an_untrimmed_pile_goes_onto_what_it_gave_and_goes_on_adding_up() {
        List<LogEntry> all = new ArrayList<>();
        all.add(new LogEntry(
                PIECE,
                new LogFact(UUID.randomUUID(), null, LogFactKind.PILE, NOW, 3000, Stream.STEAK),
                "",
                NOW,
                UUID.randomUUID(),
                "haunch",
                true));
        lenient().when(entries.ofPiece(PIECE)).thenAnswer(asked -> List.copyOf(all));
        lenient().doAnswer(kept -> all.add(kept.getArgument(1))).when(log).append(any(), any());
        List<CleanPile> gave = List.of(
                new CleanPile(Stream.STEAK, 1100, 0, null, null), new CleanPile(Stream.BONE, 400, null, null, null));
        service.clean(PIECE, UUID.randomUUID(), 1500, gave);
        assertThat(piles(all)).isEqualTo(Piles.of(2600, 0, 0, 400, 0));
        service.clean(PIECE, UUID.randomUUID(), 1500, gave);
        assertThat(piles(all)).as("all of it is cleaned").isEqualTo(Piles.of(2200, 0, 0, 800, 0));
        Refusal more = catchThrowableOfType(Refusal.class, () -> service.clean(PIECE, UUID.randomUUID(), 500, gave));
        assertThat(more.type()).isEqualTo("nothing-untrimmed");
    }

    private static Piles piles(List<LogEntry> all) {
        return PieceLog.of(8000, all.stream().map(LogEntry::fact).toList()).piles();
    }
}
