package elvaro.devices.bridge;

import com.fazecast.jSerialComm.SerialPort;
import com.fazecast.jSerialComm.SerialPortInvalidPortException;
import elvaro.core.weighing.MassUnit;
import elvaro.core.weighing.ScaleLine;
import elvaro.core.weighing.ScaleLine.ScaleShown;
import elvaro.devices.bridge.BridgeFile.ScaleSource;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import java.util.Optional;

/** Reads a scale at a cable, line by line; one that is pulled out is looked for until it is there again. */
final class SerialScale implements Runnable {
    private static final int USUAL_BAUD = 9600;
    private static final int READ_MILLIS = 1_000;
    private static final int ASKED_EVERY_MILLIS = 250;
    private static final long LOOK_AGAIN_MILLIS = 3_000;

    /** After so many lines without a weight it is said that they are not understood. */
    private static final int NOT_UNDERSTOOD = 20;

    private final ScaleSource source;
    private final ScaleLine pattern;
    private final MassUnit unit;
    private final ScaleFigures figures;

    SerialScale(ScaleSource source, ScaleFigures figures) {
        this.source = source;
        this.figures = figures;
        pattern = ScaleLine.of(source.pattern());
        unit = MassUnit.of(Objects.requireNonNullElse(source.unit(), "kg"));
    }

    /** Until it is interrupted. */
    @Override
    public void run() {
        boolean said = false;
        while (!Thread.currentThread().isInterrupted()) {
            try {
                read();
                said = false;
            } catch (IOException | SerialPortInvalidPortException away) {
                if (!said) {
                    System.err.printf("%s: %s; it is looked for.%n", source.name(), away.getMessage());
                }
                said = true;
                pause();
            }
        }
    }

    private static void pause() {
        try {
            Thread.sleep(LOOK_AGAIN_MILLIS);
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    private void read() throws IOException {
        SerialPort port = SerialPort.getCommPort(Objects.requireNonNull(source.port()));
        port.setBaudRate(Objects.requireNonNullElse(source.baud(), USUAL_BAUD));
        port.setComPortTimeouts(SerialPort.TIMEOUT_READ_SEMI_BLOCKING, READ_MILLIS, 0);
        if (!port.openPort()) {
            throw new IOException("%s cannot be opened".formatted(source.port()));
        }
        System.err.printf("%s: listening at %s.%n", source.name(), source.port());
        Thread asking = asking(port);
        boolean begun = false;
        int strange = 0;
        try (BufferedReader lines =
                new BufferedReader(new InputStreamReader(port.getInputStream(), StandardCharsets.US_ASCII))) {
            while (!Thread.currentThread().isInterrupted()) {
                if (lines.ready() || port.bytesAvailable() > 0) {
                    String line = lines.readLine();
                    if (line == null) {
                        throw new IOException(source.port() + " is gone");
                    }
                    // The first may be cut: the scale was writing when the port was opened.
                    Optional<ScaleShown> shown = begun ? pattern.read(line, unit) : Optional.empty();
                    begun = true;
                    shown.ifPresent(figures::shows);
                    strange = shown.isPresent() ? 0 : strange + 1;
                    if (strange == NOT_UNDERSTOOD) {
                        System.err.printf(
                                "%s: what it writes is no weight known here: “%s”. Are baud and pattern right?%n",
                                source.name(), line.strip());
                    }
                } else if (port.bytesAvailable() < 0) { // pulled out
                    throw new IOException(source.port() + " is gone");
                } else {
                    Thread.sleep(20);
                }
            }
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        } finally {
            asking.interrupt();
            port.closePort();
        }
    }

    /** Some scales say nothing unless they are asked. */
    private Thread asking(SerialPort port) {
        Thread asking = new Thread(() -> {
            byte[] question = String.valueOf(source.ask())
                    .replace("\\r", "\r")
                    .replace("\\n", "\n")
                    .getBytes(StandardCharsets.US_ASCII);
            try {
                while (port.isOpen()) {
                    port.writeBytes(question, question.length);
                    Thread.sleep(ASKED_EVERY_MILLIS);
                }
            } catch (InterruptedException ended) {
                Thread.currentThread().interrupt();
            }
        });
        asking.setDaemon(true);
        if (source.ask() != null) {
            asking.start();
        }
        return asking;
    }
}
