package elvaro.server.shared;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes a problem where no controller is reached: in the security chain. */
@Component
public class ProblemWriter {
    private final JsonMapper json;

    ProblemWriter(JsonMapper json) {
        this.json = json;
    }

    public void write(HttpServletResponse response, HttpStatus status, String type, String sentence)
            throws IOException {
        write(response, Problems.problem(status, type, null, sentence));
    }

    /** Of a failure that reached no controller; it is logged if it is nobody's who asked. */
    public void write(HttpServletRequest request, HttpServletResponse response, Exception failure) throws IOException {
        write(response, Problems.of(request, failure));
    }

    private void write(HttpServletResponse response, ProblemDetail problem) throws IOException {
        response.setStatus(problem.getStatus());
        if (problem.getStatus() == HttpStatus.SERVICE_UNAVAILABLE.value()) {
            response.setHeader(HttpHeaders.RETRY_AFTER, Problems.RETRY_AFTER_SECONDS);
        }
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getOutputStream().write(json.writeValueAsBytes(problem)); // left open: a body may still be read on
    }
}
