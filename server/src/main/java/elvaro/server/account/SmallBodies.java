package elvaro.server.account;

import elvaro.server.shared.ProblemWriter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * JSON is read before anybody is known where no session is needed: there a body says beforehand how long it is, and is short.
 * Devices send more, and are known by their token before any of it is read.
 */
@Component
class SmallBodies extends OncePerRequestFilter {
    static final int MOST_BYTES = 64_000;

    private final ProblemWriter problems;

    SmallBodies(ProblemWriter problems) {
        this.problems = problems;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getServletPath(); // decoded, as it is matched; the URI may be written in other ways
        return !path.startsWith("/taste/") && !path.equals("/api/setup");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean untold = request.getContentLengthLong() < 0 && request.getHeader("Transfer-Encoding") != null;
        if (untold || request.getContentLengthLong() > MOST_BYTES) {
            problems.write(
                    response,
                    HttpStatus.CONTENT_TOO_LARGE,
                    "too-large",
                    "That is more than a sheet holds. Nothing was kept.");
        } else {
            chain.doFilter(request, response);
        }
    }
}
