package elvaro.server.trial;

import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Factor;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.tasting.FirstTasting;
import elvaro.server.trial.NextTrial.NextForm;
import elvaro.server.trial.TrialLessons.LessonsView;
import elvaro.server.trial.TrialView.TrialLine;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/trials")
class TrialController {
    private final TrialService service;
    private final TrialReading reading;
    private final TrialLessons lessons;
    private final TrialReport report;

    TrialController(TrialService service, TrialReading reading, TrialLessons lessons, TrialReport report) {
        this.report = report;
        this.service = service;
        this.reading = reading;
        this.lessons = lessons;
    }

    /**
     * What a trial may be judged by.
     *
     * @param label as it stands in a sentence
     */
    record MeasureView(TrialMeasure measure, String label) {}

    /**
     * What a trial may change.
     *
     * @param ofTheLot whether all of a lot is alike in it, so that no lot can be split for it
     */
    record FactorView(Factor factor, String label, boolean ofTheLot) {}

    record LearntForm(
            @NotNull Integer version,

            @NotNull @Size(max = 2000, message = "Say it in fewer words.")
            String words) {}

    @GetMapping
    List<TrialLine> trials() {
        return reading.all();
    }

    /** What a tasting begins with that is to answer a trial. */
    @GetMapping("/{id}/tasting")
    FirstTasting tasting(@PathVariable UUID id) {
        return reading.firstTasting(id);
    }

    @GetMapping("/factors")
    List<FactorView> factors() {
        return Arrays.stream(Factor.values())
                .map(factor -> new FactorView(factor, factor.label(), factor.isOfTheLot()))
                .toList();
    }

    @GetMapping("/measures")
    List<MeasureView> measures() {
        return Arrays.stream(TrialMeasure.values())
                .map(measure -> new MeasureView(measure, measure.label()))
                .toList();
    }

    /** What was learnt of each treatment, over all trials. */
    @GetMapping("/lessons")
    LessonsView lessons() {
        return lessons.all();
    }

    /** What weakens a trial that is only planned; nothing is kept. */
    @PostMapping("/check")
    List<Flaw> check(@RequestBody @Valid TrialForm form) {
        return service.check(form);
    }

    @GetMapping("/{id}")
    TrialView trial(@PathVariable UUID id) {
        return reading.view(id);
    }

    /** The trial on paper. */
    @GetMapping(path = "/{id}/report", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] report(@PathVariable UUID id) {
        return report.pdf(id);
    }

    /** Sets a trial up; sent again, it happens once. */
    @PutMapping("/{id}")
    TrialView create(@PathVariable UUID id, @RequestBody @Valid TrialForm form) {
        service.create(id, form);
        return reading.view(id);
    }

    @PutMapping("/{id}/learnt")
    TrialView learn(@PathVariable UUID id, @RequestBody @Valid LearntForm form) {
        service.learn(id, form.version(), form.words());
        return reading.view(id);
    }

    /**
     * A next trial from this one: what may be changed in each arm, and what is proposed.
     *
     * @param days so many more or fewer for all arms
     */
    @GetMapping("/{id}/next")
    NextForm next(@PathVariable UUID id, @RequestParam(defaultValue = "0") @Min(-60) @Max(60) int days) {
        return reading.next(id, days);
    }
}
