package elvaro.server.guard;

import elvaro.server.shared.ProblemWriter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What fails outside a controller, as the session that cannot be read while the database is away, is answered as a problem
 * too and not as a page of the server's.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class AlwaysAnswered extends OncePerRequestFilter {
    private final ProblemWriter problems;

    AlwaysAnswered(ProblemWriter problems) {
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (ServletException | IOException | RuntimeException failure) {
            if (response.isCommitted()) {
                throw failure;
            }
            response.reset();
            problems.write(request, response, failure);
        }
    }
}
