package elvaro.server.notice;

import elvaro.core.notice.NoticeGroup;
import elvaro.server.account.AccountService;
import elvaro.server.account.PersonView;
import elvaro.server.channel.ChannelKind;
import elvaro.server.channel.PushChannel;
import elvaro.server.notice.NoticeLog.NoticeView;
import elvaro.server.notice.NoticeSettings.PhoneView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class NoticeController {
    private final NoticeSettings settings;
    private final NoticeLog log;
    private final PushChannel push;
    private final AccountService accounts;
    private final ReachWords words;

    NoticeController(
            NoticeSettings settings, NoticeLog log, PushChannel push, AccountService accounts, ReachWords words) {
        this.settings = settings;
        this.log = log;
        this.push = push;
        this.accounts = accounts;
        this.words = words;
    }

    /** What people choose by. */
    record NoticeGroupView(NoticeGroup group, String label, String about, boolean waits) {}

    /**
     * How the signed-in person is told.
     *
     * @param mailServer whether the house has one
     * @param pushKey by which a browser knows this house
     * @param air who is told of the air of which chamber, in sentences
     */
    record MyNoticesView(
            ChoiceForm choice,
            List<NoticeGroupView> groups,
            List<PhoneView> phones,
            boolean mailServer,
            String pushKey,
            List<String> air) {}

    /** @param name by which its owner knows it */
    record PhoneForm(
            @NotBlank(message = "The phone needs a name.") @Size(max = 80)
            String name,

            @NotNull @Size(max = 1000) @Pattern(regexp = "https?://\\S+")
            String endpoint,

            @NotNull @Size(max = 120) String key,
            @NotNull @Size(max = 40) String shared) {}

    record TestForm(@NotNull ChannelKind channel) {}

    record TestView(UUID noticeId) {}

    record ShownForm(@NotNull @Size(max = 200) String key) {}

    record HookSecret(String secret) {}

    /** Whom an alarm can be handed to. */
    record ColleagueView(UUID id, String name) {}

    @GetMapping("/api/me/notices")
    MyNoticesView mine() {
        return new MyNoticesView(
                settings.mine(),
                Arrays.stream(NoticeGroup.values())
                        .map(group -> new NoticeGroupView(group, group.label(), group.about(), group.waits()))
                        .toList(),
                settings.myPhones(),
                settings.hasMailServer(),
                push.openKey(),
                words.air());
    }

    @PutMapping("/api/me/notices")
    ChoiceForm change(@RequestBody @Valid ChoiceForm form) {
        return settings.change(form);
    }

    @PutMapping("/api/me/phones/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void connect(@PathVariable UUID id, @RequestBody @Valid PhoneForm form) {
        settings.connect(id, form.name(), new PushChannel.Browser(form.endpoint(), form.key(), form.shared()));
    }

    @DeleteMapping("/api/me/phones/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void disconnect(@PathVariable UUID id) {
        settings.disconnect(id);
    }

    /** Sends a test to the signed-in person, once for each id. */
    @PutMapping("/api/me/notices/tests/{id}")
    TestView test(@PathVariable UUID id, @RequestBody @Valid TestForm form) {
        return new TestView(log.test(id, form.channel()));
    }

    /** The phone says that it showed a message. */
    @PostMapping("/api/me/notices/shown")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void shown(@RequestBody @Valid ShownForm form) {
        log.shown(form.key());
    }

    @GetMapping("/api/notices")
    List<NoticeView> lately() {
        return log.lately();
    }

    @GetMapping("/api/colleagues")
    List<ColleagueView> colleagues() {
        return accounts.people().stream()
                .filter(PersonView::active)
                .map(person -> new ColleagueView(person.id(), person.name()))
                .toList();
    }

    @GetMapping("/api/notices/house")
    @PreAuthorize("hasRole('OWNER')")
    HouseNoticesForm ofHouse() {
        return settings.ofHouse();
    }

    @PutMapping("/api/notices/house")
    @PreAuthorize("hasRole('OWNER')")
    HouseNoticesForm changeHouse(@RequestBody @Valid HouseNoticesForm form) {
        return settings.changeHouse(form);
    }

    /** Makes a new secret for the other program; the old one no longer signs anything. */
    @PostMapping("/api/notices/house/hook-secret")
    @PreAuthorize("hasRole('OWNER')")
    HookSecret makeHookSecret() {
        return new HookSecret(settings.makeHookSecret());
    }
}
