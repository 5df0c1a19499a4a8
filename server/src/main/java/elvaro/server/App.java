package elvaro.server;

import elvaro.server.shared.ClockFromFile;
import elvaro.server.shared.HouseTime;
import java.net.URL;
import java.nio.file.Path;
import java.time.Clock;
import org.slf4j.LoggerFactory;
import org.springframework.aot.AotDetector;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.core.SpringProperties;

@SpringBootApplication
public class App {
    /** Which beans there are was worked out as this was packaged; run from its classes, it is found out at each start. */
    public static void main(String[] args) {
        URL workedOut = App.class.getResource("App__ApplicationContextInitializer.class");
        if (workedOut != null && workedOut.getProtocol().equals("jar")) {
            SpringProperties.setFlag(AotDetector.AOT_ENABLED);
        }
        SpringApplication.run(App.class, args);
    }

    /** @param file names a {@link ClockFromFile}, for tests; the machine's clock where none is named */
    @Bean
    HouseTime clock(@Value("${elvaro.clock-file}") String file) {
        if (file.isEmpty()) {
            return new HouseTime(Clock.systemUTC());
        }
        LoggerFactory.getLogger(App.class).warn("The clock goes ahead of the machine's by {}: for tests only.", file);
        return new HouseTime(new ClockFromFile(Path.of(file)));
    }
}
