package elvaro.server.notice;

import elvaro.server.notice.AlarmAnswer.AnswerKind;
import elvaro.server.notice.AlarmService.AlarmView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/alarms")
class AlarmController {
    private final AlarmService alarms;
    private final NoticeLog log;

    AlarmController(AlarmService alarms, NoticeLog log) {
        this.alarms = alarms;
        this.log = log;
    }

    /**
     * What is wrong and was lately.
     *
     * @param stuck what could not be told anybody, in a sentence each
     */
    record AlarmsView(List<AlarmView> alarms, List<String> stuck) {}

    /** @param minutes after which to be told again */
    record AlarmAnswerForm(
            @NotNull AnswerKind kind,

            @Nullable
            @Min(value = 5, message = "At least five minutes.")
            @Max(value = 1_440, message = "At most a day.")
            Integer minutes,

            @Nullable UUID to) {}

    @GetMapping
    AlarmsView lately() {
        return new AlarmsView(alarms.lately(), log.stuck());
    }

    @GetMapping("/{id}")
    AlarmView one(@PathVariable UUID id) {
        return alarms.one(id);
    }

    /** Keeps what somebody answered; sent again, it is kept once. */
    @PutMapping("/{id}/answers/{answerId}")
    AlarmView answer(@PathVariable UUID id, @PathVariable UUID answerId, @RequestBody @Valid AlarmAnswerForm form) {
        return alarms.answer(id, answerId, form.kind(), form.minutes(), form.to());
    }
}
