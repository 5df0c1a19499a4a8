package elvaro.server.scale;

import elvaro.core.weighing.ScaleLine;
import elvaro.core.weighing.ScaleLine.ScaleShown;
import elvaro.core.weighing.StableWeight.Figure;
import elvaro.core.weighing.StableWeight.Shown;
import elvaro.server.device.DeviceService;
import elvaro.server.device.PackReader;
import elvaro.server.device.PackReader.Pack;
import elvaro.server.device.SenMl.Measured;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.MinuteLimit;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.SignedIn;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Passes on what scales show to the screens that watch them. See docs/decisions/0012.
 */
@Service
public class ScaleService {
    /** A screen asks anew after this long, so that one that was signed out stops seeing figures. */
    private static final Duration WATCH = Duration.ofMinutes(1);

    private static final long JOIN_AGAIN_MILLIS = 300;
    private static final int SENDERS = 4;
    private static final double LARGEST_GRAMS = 1_000_000;

    private static final int LOOK_EVERY_MILLIS = 200;

    private final Map<UUID, Watchers> watched = new ConcurrentHashMap<>();
    private final ExecutorService senders = Executors.newFixedThreadPool(SENDERS);
    private final OpenScreens screens = new OpenScreens();
    private final ScaleStates states;
    private final CurrentWorkshop current;
    private final DeviceService devices;
    private final PackReader packs;
    private final WorkshopService workshops;
    private final MinuteLimit limit;
    private final Clock clock;
    private final int figuresAMinute;

    ScaleService(
            ScaleStates states,
            CurrentWorkshop current,
            DeviceService devices,
            PackReader packs,
            WorkshopService workshops,
            MinuteLimit limit,
            Clock clock,
            @Value("${elvaro.figures-a-minute}") int figuresAMinute) {
        this.states = states;
        this.current = current;
        this.devices = devices;
        this.packs = packs;
        this.workshops = workshops;
        this.limit = limit;
        this.clock = clock;
        this.figuresAMinute = figuresAMinute;
    }

    /**
     * Takes what a scale shows now: the last weight of the pack counts, and it counts from its arrival.
     *
     * @throws Refusal if the token is no scale's, figures come too fast, or there is no weight in the pack
     */
    public void take(String token, Pack pack) {
        devices.asScale(token, figuresAMinute, scale -> {
            Figure figure = figure(packs.read(pack, pack.bytes()), clock.instant());
            int division = division();
            tell(scale, states.change(scale, division, state -> state.with(figure, division)));
            return scale;
        });
    }

    /**
     * Takes what a scale wrote at the cable of a screen: the last line that is a weight counts.
     *
     * @throws Refusal if the workshop has no such scale, lines come too fast, or none of them is a weight
     */
    public void hear(UUID scale, List<String> lines) {
        devices.mustBeScale(scale);
        if (!limit.allows("cable " + scale, figuresAMinute)) {
            throw Refusal.tooMany("The scale sends too often.");
        }
        ScaleShown shown = lines.stream()
                .flatMap(line -> ScaleLine.ofAnyForm(line).stream())
                .reduce((earlier, later) -> later)
                .orElseThrow(() -> Refusal.wrong(
                        "no-weight",
                        "lines",
                        "What the scale writes is no weight that is known here: “%s”. Check its speed, and set it to send the weight with its unit."
                                .formatted(lines.get(lines.size() - 1).strip())));
        mustBePossible(shown.grams());
        Figure figure = new Figure(clock.instant(), shown.grams(), shown.overloaded());
        int division = division();
        tell(scale, states.change(scale, division, state -> state.with(figure, division)));
    }

    /**
     * Takes what a scale of a rehearsal shows, where nothing is weighed.
     *
     * @throws Refusal if the workshop has no such scale
     */
    public void show(UUID scale, double grams) {
        devices.mustBeScale(scale);
        mustBePossible(grams);
        Figure figure = new Figure(clock.instant(), grams, false);
        int division = division();
        tell(scale, states.change(scale, division, state -> state.with(figure, division)));
    }

    private static Figure figure(List<Measured> records, Instant now) {
        Measured last = records.get(records.size() - 1);
        if (last.name().endsWith("overload") && last.value().isEmpty()) {
            return new Figure(now, 0, true);
        }
        double factor = switch (last.unit()) {
            case "kg" -> 1000;
            case "g" -> 1;
            default -> throw Refusal.wrong("bad-pack", "pack", "The last record is no weight in kg or g.");
        };
        double grams = factor
                * last.value().orElseThrow(() -> Refusal.wrong("bad-pack", "pack", "The last record has no weight."));
        mustBePossible(grams);
        return new Figure(now, grams, false);
    }

    private static void mustBePossible(double grams) {
        if (Math.abs(grams) > LARGEST_GRAMS) {
            throw Refusal.wrong("bad-pack", "pack", "That is more than ⟦limit 1000000⟧.");
        }
    }

    /**
     * Figures as they come, until the screen goes away or a minute is over.
     *
     * @throws Refusal if the workshop has no such scale, or too many screens watch already
     */
    public SseEmitter watch(UUID scale) {
        devices.mustBeScale(scale);
        Watchers watchers = watched.computeIfAbsent(scale, each -> new Watchers());
        SignedIn person = current.person();
        screens.opened(person);
        SseEmitter screen = new SseEmitter(WATCH.toMillis());
        Watcher watcher = new Watcher(screen, senders);
        screen.onCompletion(() -> {
            watchers.leave(watcher);
            screens.closed(person);
        });
        screen.onTimeout(screen::complete);
        try {
            // An empty first event: the screen knows at once that it watches.
            screen.send(SseEmitter.event().reconnectTime(JOIN_AGAIN_MILLIS).comment(""));
        } catch (IOException gone) {
            screen.completeWithError(gone);
        }
        watchers.join(watcher);
        return screen;
    }

    /**
     * Takes what lies on the scale as the container.
     *
     * @throws Refusal if the workshop has no such scale, or it is not at rest
     */
    public Shown tare(UUID scale) {
        devices.mustBeScale(scale);
        int division = division();
        Instant now = clock.instant();
        try {
            Shown shown = states.change(scale, division, state -> state.tared(now, division));
            tell(scale, shown);
            return shown;
        } catch (IllegalStateException moving) {
            throw Refusal.conflict("not-steady", String.valueOf(moving.getMessage()));
        }
    }

    private void tell(UUID scale, Shown shown) {
        Watchers watchers = watched.get(scale);
        if (watchers != null && !states.isLookedAt()) {
            watchers.tell(shown);
        }
    }

    /** What came to another node. */
    @Scheduled(fixedDelay = LOOK_EVERY_MILLIS)
    void look() {
        if (!states.isLookedAt()) {
            return;
        }
        watched.forEach((scale, watchers) -> {
            if (!watchers.isEmpty()) {
                states.after(scale, watchers.told()).ifPresent(each -> watchers.tell(each.number(), each.shown()));
            }
        });
    }

    private int division() {
        return workshops.mine().divisionGrams();
    }

    /** Else the application would wait for the screens before it ends. */
    @EventListener(ContextClosedEvent.class)
    void end() {
        watched.values().forEach(Watchers::end);
        senders.shutdownNow();
    }
}
