package elvaro.server.program;

import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.server.chamber.ChamberService;
import elvaro.server.exchange.ExchangeService;
import elvaro.server.hanging.EntryForm;
import elvaro.server.hanging.LogService;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceView.EntryView;
import elvaro.server.notice.AlarmService;
import elvaro.server.piece.PieceState;
import elvaro.server.program.ProgramViews.ProgramAir;
import elvaro.server.program.ProgramViews.ProgramAirPoint;
import elvaro.server.program.ProgramViews.ProgramAlarm;
import elvaro.server.program.ProgramViews.ProgramChamber;
import elvaro.server.program.ProgramViews.ProgramEntry;
import elvaro.server.program.ProgramViews.ProgramPiece;
import elvaro.server.program.ProgramViews.ProgramTask;
import elvaro.server.reading.AirService;
import elvaro.server.reading.AirService.NowView;
import elvaro.server.reading.AirView;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Refusal;
import elvaro.server.task.WorkList;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.PageImpl;
import org.springframework.data.domain.PageRequest;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The API for programs of others, version 1. What each route needs stands in {@link ProgramSecurity}. */
@RestController
@RequestMapping(ProgramSecurity.ROOT)
class ProgramController {
    private static final int MOST = 200;
    private static final String ZIP = "application/zip";
    private static final String TABLES = "tables";
    private static final String ARCHIVE = "archive";

    private final PieceQueries pieces;
    private final LogService log;
    private final ChamberService chambers;
    private final AirService air;
    private final WorkList work;
    private final WorkshopService workshops;
    private final AlarmService alarms;
    private final ExchangeService exchange;

    ProgramController(
            PieceQueries pieces,
            LogService log,
            ChamberService chambers,
            AirService air,
            WorkList work,
            WorkshopService workshops,
            AlarmService alarms,
            ExchangeService exchange) {
        this.pieces = pieces;
        this.log = log;
        this.chambers = chambers;
        this.air = air;
        this.work = work;
        this.workshops = workshops;
        this.alarms = alarms;
        this.exchange = exchange;
    }

    /** A weighing, as a program tells it. */
    @Schema(name = "Weighing", description = "What a scale showed.")
    record WeighingBody(
            @NotNull(message = "The weight is needed.")
            @Min(value = 1, message = "A weight is more than 0 g.")
            @Max(value = 1_000_000, message = "That is more than a ton.")
            @Schema(example = "6935", description = "g")
            Integer grams,

            @Nullable @Schema(description = "When it was weighed, if not now.")
            Instant at,

            @Nullable
            @Size(max = 1_900, message = "The note is too long.")
            @Schema(example = "after the fan was mended")
            String words,

            @Nullable
            @Size(max = Answers.MOST)
            @Schema(
                    description =
                            "Where the weight is asked about (422 with questions), sent again with an answer to each,"
                                    + " by the question's code.")
            Map<String, String> answers) {}

    @Operation(
            operationId = "listPieces",
            summary = "Pieces, by their tags",
            description = "Needs the scope READ. A page at a time; the next stands in the Link header.")
    @Tag(name = "Pieces")
    @GetMapping("/pieces")
    ResponseEntity<List<ProgramPiece>> pieces(
            @Parameter(description = "Only pieces in these states; all where none is named.")
                    @RequestParam(required = false)
                    @Nullable
                    Set<PieceState> state,
            @Parameter(description = "Only pieces whose tag begins so.", example = "22A")
                    @RequestParam(defaultValue = "")
                    @Size(max = 20)
                    String tag,
            @Parameter(description = "Counted from 0.") @RequestParam(defaultValue = "0") @Min(0) int page,
            @Parameter(description = "How many a page.") @RequestParam(defaultValue = "50") @Min(1) @Max(MOST)
                    int size) {
        Set<PieceState> states = state == null || state.isEmpty() ? EnumSet.allOf(PieceState.class) : state;
        return Paged.of(pieces.page(states, tag, PageRequest.of(page, size)).map(ProgramPiece::of));
    }

    @Operation(operationId = "getPiece", summary = "One piece", description = "Needs the scope READ.")
    @Tag(name = "Pieces")
    @GetMapping("/pieces/{id}")
    ProgramPiece piece(@PathVariable UUID id) {
        return ProgramPiece.of(card(id));
    }

    private PieceCard card(UUID id) {
        return pieces.card(pieces.figures(List.of(id)).get(0));
    }

    @Operation(
            operationId = "listEntries",
            summary = "The log of a piece, in the order things happened",
            description = "Needs the scope READ. A page at a time; the next stands in the Link header.")
    @Tag(name = "Pieces")
    @GetMapping("/pieces/{id}/log")
    ResponseEntity<List<ProgramEntry>> log(
            @PathVariable UUID id,
            @Parameter(description = "Counted from 0.") @RequestParam(defaultValue = "0") @Min(0) int page,
            @Parameter(description = "How many a page.") @RequestParam(defaultValue = "50") @Min(1) @Max(MOST)
                    int size) {
        pieces.find(id);
        List<EntryView> all = pieces.log(id);
        int from = (int) Math.min((long) page * size, all.size());
        return Paged.of(new PageImpl<>(
                        all.subList(from, Math.min(all.size(), from + size)), PageRequest.of(page, size), all.size())
                .map(ProgramEntry::of));
    }

    @Operation(
            operationId = "weigh",
            summary = "Write a weighing",
            description =
                    "Needs the scope WEIGH. The id of the entry is the program's own: sent again, it is written once."
                            + " A weight that surprises is asked about, 422 with questions, and nothing is written until it comes"
                            + " again with answers.")
    @Tag(name = "Pieces")
    @PutMapping("/pieces/{id}/weighings/{entryId}")
    ProgramPiece weigh(
            @PathVariable UUID id,
            @PathVariable UUID entryId,
            @RequestBody @Valid WeighingBody body,
            @Parameter(hidden = true) Authentication program) {
        String words =
                "%s (%s)".formatted(body.words() == null ? "" : body.words().strip(), program.getDetails());
        log.write(
                id,
                entryId,
                new EntryForm(
                        LogFactKind.WEIGHED,
                        body.grams(),
                        null,
                        words.strip(),
                        body.at(),
                        null,
                        body.answers() == null ? Map.of() : body.answers()));
        return ProgramPiece.of(card(id));
    }

    @Operation(
            operationId = "listChambers",
            summary = "Chambers and their air now",
            description = "Needs the scope READ.")
    @Tag(name = "Chambers")
    @GetMapping("/chambers")
    List<ProgramChamber> chambers() {
        Map<UUID, NowView> airs = air.now();
        return chambers.all().stream()
                .map(chamber -> ProgramChamber.of(chamber, airs))
                .toList();
    }

    @Operation(
            operationId = "getAir",
            summary = "The air of a chamber over a stretch of time",
            description =
                    "Needs the scope AIR. Readings are handed in by a probe with its own token, at /devices/readings.")
    @Tag(name = "Chambers")
    @GetMapping("/chambers/{id}/air")
    ProgramAir air(
            @PathVariable UUID id,
            @Parameter(example = "2026-11-01T00:00:00Z") @RequestParam Instant from,
            @Parameter(description = "At most 400 days later.", example = "2026-11-08T00:00:00Z") @RequestParam
                    Instant to,
            @Parameter(description = "How many points at most.") @RequestParam(defaultValue = "400") @Min(10) @Max(2000)
                    int points) {
        AirView view = air.view(id, from, to, points);
        return new ProgramAir(
                id,
                view.stepSeconds(),
                view.points().stream().map(ProgramAirPoint::of).toList());
    }

    @Operation(
            operationId = "listTasks",
            summary = "What is due and what comes",
            description = "Needs the scope READ. What is late comes first.")
    @Tag(name = "Work")
    @GetMapping("/tasks")
    List<ProgramTask> tasks(
            @Parameter(description = "How many days ahead.")
                    @RequestParam(defaultValue = "14")
                    @Min(0)
                    @Max(value = 400, message = "At most 400 days ahead.")
                    int days) {
        LocalDate today = workshops.today();
        return work.ahead(days).stream()
                .map(item -> ProgramTask.of(item, today))
                .sorted(Comparator.comparing(ProgramTask::on))
                .toList();
    }

    @Operation(
            operationId = "listAlarms",
            summary = "Alarms, those that go on and those of the last month",
            description = "Needs the scope READ.")
    @Tag(name = "Work")
    @GetMapping("/alarms")
    List<ProgramAlarm> alarms() {
        return alarms.lately().stream().map(ProgramAlarm::of).toList();
    }

    @Operation(
            operationId = "export",
            summary = "The whole record as files",
            description =
                    "Needs the scope EXPORT, which an owner gives. As tables, a data package of a CSV file a table and"
                            + " their description; or as a sealed archive, JSON with its schema and the photos.")
    @ApiResponse(
            responseCode = "200",
            description = "A ZIP file.",
            content = @Content(mediaType = ZIP, schema = @Schema(type = "string", format = "binary")))
    @Tag(name = "Exports")
    @GetMapping(
            path = "/exports/{form}.zip",
            produces = {ZIP, MediaType.APPLICATION_PROBLEM_JSON_VALUE})
    void export(
            @Parameter(schema = @Schema(allowableValues = {TABLES, ARCHIVE})) @PathVariable String form,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        switch (form) {
            case TABLES -> {
                attach(response, "-tables.zip");
                exchange.dataPackage(response.getOutputStream());
            }
            case ARCHIVE -> {
                attach(response, ".zip");
                exchange.archive(response.getOutputStream());
            }
            default -> throw Refusal.notFound("export");
        }
    }

    private void attach(HttpServletResponse response, String ending) {
        exchange.mustNotBeMany();
        response.setContentType(ZIP);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(exchange.fileName() + ending)
                        .build()
                        .toString());
    }
}
