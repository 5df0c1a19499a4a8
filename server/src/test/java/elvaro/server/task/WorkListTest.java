package elvaro.server.task;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.lenient;
import static org.mockito.Mockito.mock;

import elvaro.core.cut.CutCatalogue;
import elvaro.core.inspection.FollowUp;
import elvaro.core.schedule.Agenda;
import elvaro.core.schedule.Agenda.Item;
import elvaro.core.schedule.Work;
import elvaro.server.chamber.Chamber;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceQueries.HangingPiece;
import elvaro.server.look.LookService;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.plan.Plan;
import elvaro.server.plan.PlanService;
import elvaro.server.reading.AirEvents;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.Workshop;
import elvaro.server.settings.WorkshopService;
import elvaro.server.treatment.TreatmentQueries;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;

/** One list of all work, whoever shows it; without a database. */
@ExtendWith(MockitoExtension.class)
class WorkListTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 20);

    @Mock
    Agendas agendas;

    @Mock
    Agendas.WorkshopAgendas read;

    @Mock
    PieceQueries pieces;

    @Mock
    LookService looks;

    @Mock
    TreatmentQueries treatments;

    @Mock
    PlanService plans;

    @Mock
    LotService lots;

    @Mock
    AirEvents air;

    @Mock
    WorkshopService workshops;

    @Mock
    Workshop workshop;

    @Mock
    Chamber chamber;

    private WorkList work;

    @BeforeEach
    void a_house_where_nothing_is_to_be_done() {
        work = new WorkList(agendas, pieces, looks, treatments, plans, lots, air, workshops);
        lenient().when(workshops.mine()).thenReturn(workshop);
        lenient().when(workshops.today()).thenReturn(TODAY);
        lenient().when(workshop.clock()).thenReturn(new HouseClock(ZoneOffset.UTC));
        lenient().when(agendas.read()).thenReturn(read);
        lenient().when(read.of(any(), any(), any())).thenReturn(new Agenda(List.of()));
        lenient().when(chamber.id()).thenReturn(UUID.randomUUID());
        lenient().when(chamber.name()).thenReturn("North Room");
    }

    private HangingPiece piece(String tag, PieceState state) {
        UUID id = UUID.randomUUID();
        Piece piece = mock(Piece.class);
        PieceCard card = mock(PieceCard.class);
        lenient().when(piece.id()).thenReturn(id);
        lenient().when(piece.state()).thenReturn(state);
        lenient().when(piece.chamber()).thenReturn(Optional.of(chamber));
        lenient().when(card.id()).thenReturn(id);
        lenient().when(card.tag()).thenReturn(tag);
        lenient().when(card.cutName()).thenReturn("Strip loin");
        lenient()
                .when(card.lastWeighedAt())
                .thenReturn(TODAY.minusDays(2).atStartOfDay().toInstant(ZoneOffset.UTC));
        return new HangingPiece(piece, card, mock());
    }

    private Plan plan(LocalDate hangOn) {
        Plan plan = mock(Plan.class);
        lenient().when(plan.id()).thenReturn(UUID.randomUUID());
        lenient().when(plan.name()).thenReturn("Supper");
        lenient().when(plan.hangOn()).thenReturn(hangOn);
        lenient().when(plan.cut()).thenReturn(CutCatalogue.get("strip"));
        lenient().when(plan.chamber()).thenReturn(chamber);
        return plan;
    }

    private static Item item(Work work, LocalDate on) {
        return new Item(work, on, on, false);
    }

    private static List<String> said(List<WorkItem> items) {
        return items.stream()
                .map(each -> "%s %s".formatted(each.work(), each.subject().tag()))
                .toList();
    }

    @Test
    void what_was_pulled_is_to_be_cut_and_what_came_is_to_be_hung() {
        Lot lot = mock(Lot.class);
        UUID id = UUID.randomUUID();
        lenient().when(pieces.uncutLots()).thenReturn(List.of(id));
        lenient().when(lots.get(id)).thenReturn(lot);
        lenient().when(lot.id()).thenReturn(id);
        lenient().when(lot.number()).thenReturn(41);
        lenient().when(lot.cut()).thenReturn(CutCatalogue.get("strip"));
        lenient().when(lot.receivedOn()).thenReturn(TODAY.minusDays(1));
        List<WorkItem> today = work.today(List.of(piece("23A", PieceState.PULLED)));
        assertThat(said(today)).containsExactly("CUT 23A", "HANG 41");
        assertThat(today).map(item -> item.due().days(TODAY)).containsExactly(2L, 1L);
        assertThat(today.get(1).at()).isEqualTo("/lots/" + id);
    }

    /** Room and calendar show the same list, each as far as it looks ahead. */
    @Test
    void a_purchase_is_shown_three_days_before_and_stands_in_the_calendar_long_before() {
        List<Plan> planned = List.of(plan(TODAY.plusDays(3)), plan(TODAY.plusDays(4)));
        lenient().when(plans.open()).thenReturn(planned);
        assertThat(said(work.today(List.of()))).containsExactly("BUY Supper");
        lenient().when(pieces.inTheRoom(any())).thenReturn(List.of());
        assertThat(said(work.ahead(14))).containsExactly("BUY Supper", "BUY Supper");
    }

    @Test
    void what_a_look_made_due_and_the_plan_asks_for_stands_once_and_keeps_its_name() {
        HangingPiece hanging = piece("23A", PieceState.HANGING);
        UUID id = hanging.piece().id();
        LocalDate planned = TODAY.minusDays(1);
        lenient()
                .when(read.of(any(), any(), any()))
                .thenReturn(new Agenda(List.of(item(Work.TURN, planned), item(Work.PULL, TODAY.plusDays(9)))));
        lenient()
                .when(looks.followUps(any(), any()))
                .thenReturn(Map.of(
                        id, List.of(new FollowUp(Work.TURN, TODAY.atStartOfDay().toInstant(ZoneOffset.UTC)))));
        lenient().when(pieces.inTheRoom(any())).thenReturn(List.of(hanging));
        assertThat(said(work.ahead(14))).containsExactly("PULL 23A", "TURN 23A");
        assertThat(work.ahead(14).get(1).due().plannedOn()).contains(planned);
        assertThat(said(work.today(List.of(hanging)))).containsExactly("TURN 23A");
    }
}
