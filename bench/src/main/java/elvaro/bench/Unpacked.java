package elvaro.bench;

import java.io.IOException;
import java.nio.file.Path;

/** The packaged application, unpacked: it starts in half the time. */
final class Unpacked {
    private Unpacked() {}

    /** @return what is started */
    static Path in(Path folder, Path packed) throws IOException, InterruptedException {
        Path app = folder.resolve("unpacked");
        new ProcessBuilder(
                        "java",
                        "-Djarmode=tools",
                        "-jar",
                        packed.toString(),
                        "extract",
                        "--destination",
                        app.toString())
                .inheritIO()
                .start()
                .waitFor();
        return app.resolve(packed.getFileName());
    }
}
