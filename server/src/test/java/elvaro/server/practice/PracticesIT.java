package elvaro.server.practice;

import elvaro.server.support.RunningApp;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.ExtendWith;

/** The practices of the trade, each enacted through the API in a house of its own, as its file says. */
@ExtendWith(RunningApp.class)
class PracticesIT {

    @TestFactory
    List<DynamicTest> practices() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("src/test/resources/practices"))) {
            return files.sorted()
                    .map(Practice::read)
                    .map(practice -> DynamicTest.dynamicTest(
                            practice.title(),
                            () -> practice.enact(RunningApp.newWorkshop().client())))
                    .toList();
        }
    }
}
