package elvaro.devices.bridge;

import elvaro.core.weighing.ScaleLine;
import elvaro.devices.bridge.BridgeFile.Broker;
import elvaro.devices.bridge.BridgeFile.ProbeSource;
import elvaro.devices.bridge.BridgeFile.ScaleSource;
import elvaro.devices.bridge.BridgeFile.StateTopics;
import elvaro.devices.bridge.DiskQueue.Part;
import elvaro.devices.bridge.Elvaro.Outcome;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Connects probes and scales that speak otherwise with Elvaro: {@code ./elvaro bridge FILE}. */
public final class Bridge implements AutoCloseable {
    private static final long LEAST_PAUSE_MILLIS = 500;
    private static final long MOST_PAUSE_MILLIS = 30_000;

    private final Elvaro elvaro;
    private final List<Thread> threads = new ArrayList<>();
    private final List<QueuedProbe> probes = new ArrayList<>();
    private final List<HeardScale> scales = new ArrayList<>();
    private final @Nullable MessageBroker broker;

    private record QueuedProbe(ProbeSource source, ProbeMessages messages, DiskQueue queue) {}

    private record HeardScale(ScaleSource source, ScaleLine pattern, ScaleFigures figures) {}

    Bridge(BridgeFile file) throws IOException {
        elvaro = new Elvaro(file.elvaro(), file.elvaroTrust());
        for (ProbeSource source : file.probes()) {
            Path folder = file.queue().resolve(BridgeFile.folder(source.name()));
            probes.add(new QueuedProbe(source, new ProbeMessages(source), new DiskQueue(folder)));
        }
        broker = file.broker() == null ? null : listen(file.broker(), file.state());
        for (ScaleSource source : file.scales()) {
            ScaleFigures figures = new ScaleFigures(source, elvaro);
            start(source.name(), figures);
            if (source.port() != null) {
                start(source.port(), new SerialScale(source, figures));
            } else {
                scales.add(new HeardScale(source, ScaleLine.of(source.pattern()), figures));
                Objects.requireNonNull(broker).listen(Objects.requireNonNull(source.topic()), false);
            }
        }
        probes.forEach(probe -> start(probe.source().name(), () -> send(probe)));
        if (broker != null) {
            broker.connect();
            if (file.state() != null) {
                start("state", new HouseState(file.state(), elvaro, broker));
            }
        }
    }

    private MessageBroker listen(Broker where, @Nullable StateTopics state) {
        MessageBroker listening =
                new MessageBroker(where, this::hears, state == null ? null : HouseState.bridgeTopic(state));
        // What does not know when it was measured is of no use later, and so the broker need not keep it.
        probes.forEach(probe -> probe.messages()
                .topics()
                .forEach(topic -> listening.listen(topic, probe.messages().knowsItsTime())));
        return listening;
    }

    private void start(String name, Runnable work) {
        Thread thread = new Thread(work, name);
        thread.setDaemon(true);
        thread.start();
        threads.add(thread);
    }

    private void hears(String topic, byte[] message, boolean retained, Instant arrived) throws IOException {
        for (QueuedProbe probe : probes) {
            // A retained message may be of last year.
            if (!retained || probe.messages().knowsItsTime()) {
                for (String record : records(probe, topic, message, arrived)) {
                    probe.queue().add(record);
                }
            }
        }
        for (HeardScale scale : scales) {
            if (!retained && Topics.matches(String.valueOf(scale.source().topic()), topic)) {
                ScaleMessages.shown(scale.source(), scale.pattern(), new String(message, StandardCharsets.UTF_8))
                        .ifPresent(scale.figures()::shows);
            }
        }
    }

    /** A message that is wrong for one is none for it, and may be right for the next. */
    private static List<String> records(QueuedProbe probe, String topic, byte[] message, Instant arrived) {
        try {
            return probe.messages().records(topic, message, arrived);
        } catch (IllegalArgumentException wrong) {
            System.err.printf("%s: left out: %s%n", topic, wrong.getMessage());
            return List.of();
        }
    }

    /** Until it is interrupted: the oldest first, with growing pauses while Elvaro is away. */
    private void send(QueuedProbe probe) {
        long pause = LEAST_PAUSE_MILLIS;
        try {
            while (true) {
                Thread.sleep(pause);
                pause = sendOldest(probe) ? LEAST_PAUSE_MILLIS : Math.min(MOST_PAUSE_MILLIS, 2 * pause);
            }
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    /** Whether Elvaro can be asked again soon. */
    private boolean sendOldest(QueuedProbe probe) throws InterruptedException {
        try {
            Optional<Part> oldest = probe.queue().oldest();
            if (oldest.isEmpty()) {
                return true;
            }
            List<String> refused = new ArrayList<>();
            if (!handIn(probe, oldest.get().records(), refused)) {
                return false; // what was taken of it is known when it comes again
            }
            probe.queue().done(oldest.get(), refused);
            return true;
        } catch (IOException disk) {
            System.err.printf("%s: %s%n", probe.source().name(), disk);
            return false;
        }
    }

    /**
     * One wrong value spoils a pack and not its neighbours: a pack that is refused is handed in by halves.
     *
     * @param refused what can never be taken is added here
     * @return whether all was taken or refused
     */
    private boolean handIn(QueuedProbe probe, List<String> records, List<String> refused) throws InterruptedException {
        Outcome outcome = elvaro.handIn(probe.source().name(), probe.source().token(), records);
        if (outcome == Outcome.REFUSED && records.size() > 1) {
            int half = records.size() / 2;
            return handIn(probe, records.subList(0, half), refused)
                    && handIn(probe, records.subList(half, records.size()), refused);
        }
        if (outcome == Outcome.REFUSED) {
            refused.addAll(records);
        }
        return outcome != Outcome.LATER;
    }

    @Override
    public void close() {
        threads.forEach(Thread::interrupt);
        if (broker != null) {
            broker.close();
        }
    }

    /** Starts a bridge by its file. */
    public static Bridge start(Path file) throws IOException {
        return new Bridge(BridgeFile.read(file));
    }

    /** @param arguments the file */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        if (arguments.length != 1) {
            System.err.println("Usage: Bridge FILE");
            System.exit(2);
        }
        Path file = Path.of(arguments[0]);
        if (!Files.isReadable(file)) {
            System.err.println("The file " + file + " cannot be read.");
            System.exit(2);
        }
        try {
            Bridge bridge = start(file);
            Runtime.getRuntime().addShutdownHook(new Thread(bridge::close));
            Thread.currentThread().join(); // until it is ended
        } catch (IllegalArgumentException wrong) {
            System.err.println(wrong.getMessage());
            System.exit(2);
        }
    }
}
