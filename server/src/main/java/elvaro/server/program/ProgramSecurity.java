package elvaro.server.program;

import elvaro.server.program.AccessTokenService.Program;
import elvaro.server.shared.ProblemWriter;
import elvaro.server.shared.Refusal;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AbstractAuthenticationToken;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.web.filter.OncePerRequestFilter;

/** What a token opens, in one table. A session opens nothing here, so that no other site can ride on one. */
@Configuration
class ProgramSecurity {
    static final String ROOT = "/api/v1";

    private static final String BEARER = "Bearer ";

    @Bean
    @Order(1)
    SecurityFilterChain programRequests(HttpSecurity http, AccessTokenService tokens, ProblemWriter problems) {
        http.securityMatcher(ROOT + "/**")
                .authorizeHttpRequests(requests -> requests.requestMatchers(HttpMethod.GET, ROOT + "/exports/**")
                        .hasAuthority(Scope.EXPORT.name())
                        .requestMatchers(HttpMethod.GET, ROOT + "/chambers/*/air")
                        .hasAuthority(Scope.AIR.name())
                        .requestMatchers(HttpMethod.PUT, ROOT + "/pieces/*/weighings/*")
                        .hasAuthority(Scope.WEIGH.name())
                        .requestMatchers(HttpMethod.GET, ROOT + "/**")
                        .hasAuthority(Scope.READ.name())
                        .anyRequest()
                        .denyAll())
                .csrf(csrf -> csrf.disable())
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .exceptionHandling(handling -> handling.authenticationEntryPoint(
                                (request, response, failure) -> unknown(response, problems))
                        .accessDeniedHandler((request, response, failure) -> problems.write(
                                response,
                                HttpStatus.FORBIDDEN,
                                "not-in-scope",
                                "This token does not open that. Its owner can make one that does, in Settings"
                                        + " under Programs.")))
                .addFilterBefore(byToken(tokens, problems), AuthorizationFilter.class);
        return http.build();
    }

    private static void unknown(HttpServletResponse response, ProblemWriter problems) throws IOException {
        response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer");
        problems.write(
                response,
                HttpStatus.UNAUTHORIZED,
                "unknown-token",
                "This token opens nothing here, or nothing any more. Make one in Settings under Programs.");
    }

    /** The person for whom a program speaks, with what its token opens instead of what the person may. */
    private static final class ByToken extends AbstractAuthenticationToken {
        private static final long serialVersionUID = 1;

        private final transient Program program;

        ByToken(Program program) {
            super(program.scopes().stream()
                    .map(scope -> new SimpleGrantedAuthority(scope.name()))
                    .toList());
            this.program = program;
            setAuthenticated(true);
        }

        @Override
        public Object getCredentials() {
            return "";
        }

        @Override
        public Object getPrincipal() {
            return program.person();
        }

        @Override
        public Object getDetails() {
            return program.name();
        }
    }

    private static OncePerRequestFilter byToken(AccessTokenService tokens, ProblemWriter problems) {
        return new OncePerRequestFilter() {
            @Override
            protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                    throws ServletException, IOException {
                Optional<Program> program;
                try {
                    program = token(request).flatMap(tokens::of);
                } catch (Refusal | DataAccessException refused) {
                    if (refused instanceof Refusal) {
                        response.setHeader(HttpHeaders.RETRY_AFTER, "60");
                    }
                    problems.write(request, response, refused);
                    return;
                }
                if (program.isPresent()) {
                    SecurityContext context = SecurityContextHolder.createEmptyContext();
                    context.setAuthentication(new ByToken(program.get()));
                    SecurityContextHolder.setContext(context);
                }
                chain.doFilter(request, response);
            }
        };
    }

    /** The word before it may be written in any case, RFC 9110 section 11.1. */
    private static Optional<String> token(HttpServletRequest request) {
        return Optional.ofNullable(request.getHeader(HttpHeaders.AUTHORIZATION))
                .filter(head -> head.regionMatches(true, 0, BEARER, 0, BEARER.length()))
                .map(head -> head.substring(BEARER.length()).strip());
    }
}
