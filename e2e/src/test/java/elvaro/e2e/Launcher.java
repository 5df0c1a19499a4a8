package elvaro.e2e;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The launcher on a house and ports of its own, with the application that was packaged for these tests. */
final class Launcher {
    private static final String ITSELF = System.getenv().getOrDefault("ELVARO_LAUNCHER", "../elvaro");

    private Launcher() {}

    /**
     * @param words the command first, then its options
     * @return to be started; it starts a database of its own, whatever the tests themselves were given
     */
    static ProcessBuilder on(Path house, int httpPort, int dbPort, String... words) {
        List<String> command = new ArrayList<>(List.of(ITSELF, words[0]));
        command.addAll(List.of("--dir", house.toString()));
        command.addAll(List.of("--http-port", String.valueOf(httpPort), "--db-port", String.valueOf(dbPort)));
        command.addAll(List.of(words).subList(1, words.length));
        ProcessBuilder process = new ProcessBuilder(command).redirectErrorStream(true);
        process.environment().keySet().removeIf(name -> name.startsWith("ELVARO_DB_"));
        process.environment().put("ELVARO_JAR", Packaged.JAR.toString());
        process.environment().put("ELVARO_MEMORY", "256"); // with the quick compiler
        process.environment().put("JAVA_TOOL_OPTIONS", String.join(" ", Packaged.QUICK_TO_START));
        return process;
    }
}
