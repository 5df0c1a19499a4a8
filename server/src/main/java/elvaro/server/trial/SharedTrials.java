package elvaro.server.trial;

import elvaro.core.working.Units;
import elvaro.server.look.LookService;
import elvaro.server.paper.CurveDrawing;
import elvaro.server.paper.CurveDrawing.Curve;
import elvaro.server.paper.CurveDrawing.Day;
import elvaro.server.paper.Drawing;
import elvaro.server.paper.Paper;
import elvaro.server.paper.Paper.Column;
import elvaro.server.paper.SectionDrawing;
import elvaro.server.paper.TasterLinesDrawing;
import elvaro.server.paper.WeightBarDrawing;
import elvaro.server.share.SharedKind;
import elvaro.server.share.Shown;
import elvaro.server.shared.Refusal;
import elvaro.server.treatment.Given;
import elvaro.server.treatment.TreatmentService;
import elvaro.server.trial.SharedTrial.SharedArm;
import elvaro.server.trial.SharedTrial.SharedPhoto;
import elvaro.server.trial.SharedTrial.SharedPiece;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Trials as they are shown around: as a page, as a PDF, as a picture, each with the same in it. */
@Component
class SharedTrials implements Shown {
    /** So many photos of an arm go onto paper, the latest. */
    private static final int PHOTOS = 2;

    private final TrialReading reading;
    private final TrialGathering trials;
    private final ArmSetUps setUps;
    private final TreatmentService treatments;
    private final LookService looks;

    SharedTrials(
            TrialReading reading,
            TrialGathering trials,
            ArmSetUps setUps,
            TreatmentService treatments,
            LookService looks) {
        this.reading = reading;
        this.trials = trials;
        this.setUps = setUps;
        this.treatments = treatments;
        this.looks = looks;
    }

    @Override
    public SharedKind kind() {
        return SharedKind.TRIAL;
    }

    @Override
    public void find(UUID id) {
        trials.find(id);
    }

    SharedTrial view(UUID id) {
        TrialWithPieces whole = trials.whole(trials.find(id));
        Map<UUID, String> done = setUps.of(List.of(whole)).entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, each -> words(each.getValue())));
        return SharedTrial.of(reading.view(id), done);
    }

    private String words(SetUp setUp) {
        if (setUp.isFresh() || setUp.method() == null) {
            return "set aside fresh";
        }
        return Stream.concat(
                        Stream.of("%s, %d days".formatted(setUp.method().label(), setUp.targetDays())),
                        setUp.treatments().stream().map(treatments::given).map(Given::words))
                .collect(Collectors.joining("; "));
    }

    @Override
    public byte[] photo(UUID trial, UUID photoId) {
        return reading.view(trial).arms().stream()
                .flatMap(arm -> arm.pieces().stream())
                .flatMap(piece -> piece.looks().stream()
                        .filter(look -> look.photos().contains(photoId))
                        .map(look -> looks.photo(piece.card().id(), look.id(), photoId)))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("picture"));
    }

    @Override
    public byte[] pdf(UUID id) {
        SharedTrial trial = view(id);
        return written(Paper.a4(trial.question(), under(trial), Units.PLAIN), id, trial)
                .pdf();
    }

    @Override
    public byte[] picture(UUID id) {
        SharedTrial trial = view(id);
        return written(Paper.longPage(trial.question(), under(trial), Units.PLAIN), id, trial)
                .picture();
    }

    private static String under(SharedTrial trial) {
        return "Compared by %s, judged by %s, since %s. %s"
                .formatted(trial.factor(), trial.measure(), trial.startedOn(), trial.ended() ? "" : "It still runs.");
    }

    private Paper written(Paper paper, UUID id, SharedTrial trial) {
        trial.answers().forEach(paper::answer);
        if (trial.best() != null) {
            paper.sentence(trial.best());
        }
        if (!trial.ended()) {
            trial.drying().forEach(paper::sentence);
        }
        trial.beside().forEach(paper::sentence);
        drawn(paper, id, trial);
        String answered = String.join(" ", trial.answers());
        all(
                paper,
                "Tasted",
                trial.tasted().stream()
                        .filter(sentence -> !answered.contains(sentence))
                        .toList());
        all(paper, "What weakens it", trial.weakenedBy());
        all(paper, "How sure is this", trial.statistics());
        return paper.sentence(trial.caution());
    }

    private static void all(Paper paper, String heading, List<String> sentences) {
        if (!sentences.isEmpty()) {
            paper.heading(heading);
            sentences.forEach(paper::sentence);
        }
    }

    /** The arms side by side with their pieces and photos, the curves, and what each taster said. */
    void drawn(Paper paper, UUID id, SharedTrial trial) {
        paper.columns(trial.arms().stream().map(arm -> column(id, arm)).toList());
        List<Curve> curves = IntStream.range(0, trial.arms().size())
                .filter(number -> !trial.arms().get(number).curve().isEmpty()) // meat set aside fresh has none
                .mapToObj(number -> curve(number, trial.arms().get(number)))
                .toList();
        if (!curves.isEmpty()) {
            paper.drawing("Water gone, arm by arm", new CurveDrawing(curves));
        }
        if (!trial.lines().isEmpty()) {
            paper.drawing("Tasted, taster by taster", new TasterLinesDrawing(trial.lines(), paper::written));
        }
    }

    private Column column(UUID trial, SharedArm arm) {
        List<Drawing> drawings = arm.pieces().stream()
                .flatMap(piece -> Stream.<Drawing>of(
                        new SectionDrawing(piece.shape(), piece.section()), WeightBarDrawing.of(piece.ledger())))
                .toList();
        List<byte[]> photos = arm.pieces().stream()
                .map(SharedPiece::photos)
                .flatMap(List::stream)
                .sorted(Comparator.comparingLong(SharedPhoto::day).reversed())
                .limit(PHOTOS)
                .map(photo -> photo(trial, photo.id()))
                .toList();
        return new Column(
                arm.control() ? arm.name() + " (control)" : arm.name(),
                List.of(arm.done()),
                drawings,
                photos,
                arm.means() == null ? List.of() : List.of(arm.means().words()));
    }

    private static Curve curve(int number, SharedArm arm) {
        return new Curve(
                number,
                arm.name(),
                arm.curve().stream()
                        .map(day -> new Day(day.day(), day.lost(), day.least(), day.most()))
                        .toList(),
                arm.pieces().stream()
                        .flatMap(piece -> piece.weighings().stream())
                        .map(weighed -> new Day(weighed.day(), weighed.lost(), weighed.lost(), weighed.lost()))
                        .toList());
    }
}
