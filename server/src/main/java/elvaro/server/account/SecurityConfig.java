package elvaro.server.account;

import elvaro.server.shared.ProblemWriter;
import elvaro.server.shared.SignedIn;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.method.configuration.EnableMethodSecurity;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.web.filter.OncePerRequestFilter;

/** Who may call what. Sign-in is Spring Security's own form login, answered with problems rather than pages. */
@Configuration
@EnableMethodSecurity
class SecurityConfig {
    private static final String SIGN_IN = "/api/sign-in";
    private static final String PERSON = "X-Elvaro-Person";
    private static final String CONTENT_POLICY =
            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none';"
                    + " base-uri 'none'; frame-ancestors 'none'; form-action 'self'";

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    @Bean
    SecurityFilterChain requests(HttpSecurity http, SignInLimit limit, ProblemWriter problems) {
        http.authorizeHttpRequests(
                        requests -> requests.dispatcherTypeMatchers(DispatcherType.FORWARD, DispatcherType.ERROR)
                                .permitAll()
                                .requestMatchers(HttpMethod.GET, "/api/session")
                                .permitAll()
                                .requestMatchers(HttpMethod.POST, SIGN_IN, "/api/setup")
                                .permitAll()
                                .requestMatchers("/actuator/health/**")
                                .permitAll()
                                .requestMatchers("/api/**", "/actuator/**")
                                .authenticated()
                                .anyRequest()
                                .permitAll())
                // Devices and tasters have no session that another site could ride on; they bring their token with
                // every
                // request.
                .csrf(csrf -> csrf.spa().ignoringRequestMatchers("/devices/**", "/taste/**"))
                // A taster's address is a secret, which no other site shall be told.
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.NO_REFERRER)))
                .requestCache(cache -> cache.disable())
                .formLogin(form -> form.loginProcessingUrl(SIGN_IN)
                        .successHandler((request, response, person) -> {
                            limit.forgive(request.getParameter("username"));
                            response.setStatus(HttpStatus.NO_CONTENT.value());
                        })
                        .failureHandler((request, response, failure) -> problems.write(
                                response,
                                HttpStatus.UNAUTHORIZED,
                                "sign-in-failed",
                                "Name and password do not belong together. Check both and try again.")))
                .logout(logout -> logout.logoutUrl("/api/sign-out")
                        .logoutSuccessHandler(
                                (request, response, person) -> response.setStatus(HttpStatus.NO_CONTENT.value())))
                .exceptionHandling(
                        handling -> handling.authenticationEntryPoint((request, response, failure) -> problems.write(
                                        response,
                                        HttpStatus.UNAUTHORIZED,
                                        "signed-out",
                                        "You are signed out. Sign in and try again; what you typed is kept."))
                                .accessDeniedHandler((request, response, failure) -> problems.write(
                                        response,
                                        HttpStatus.FORBIDDEN,
                                        "not-allowed",
                                        "That is for the owner of the workshop, or the page is stale: reload it.")))
                .addFilterBefore(limited(limit, problems), UsernamePasswordAuthenticationFilter.class)
                .addFilterAfter(sameHands(problems), AuthorizationFilter.class);
        return http.build();
    }

    /**
     * A screen says for whom it was drawn. Where another person signed in meanwhile, in another window of the same device,
     * what it sends is not written in their name.
     */
    private static OncePerRequestFilter sameHands(ProblemWriter problems) {
        return new OncePerRequestFilter() {
            @Override
            protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                    throws ServletException, IOException {
                String drawnFor = request.getHeader(PERSON);
                Authentication now = SecurityContextHolder.getContext().getAuthentication();
                if (drawnFor == null
                        || now == null
                        || !(now.getPrincipal() instanceof SignedIn person)
                        || person.accountId().toString().equals(drawnFor)) {
                    chain.doFilter(request, response);
                } else {
                    problems.write(
                            response,
                            HttpStatus.UNAUTHORIZED,
                            "other-person",
                            "Somebody else signed in on this device meanwhile. Sign in again; what you typed is kept.");
                }
            }
        };
    }

    private static OncePerRequestFilter limited(SignInLimit limit, ProblemWriter problems) {
        return new OncePerRequestFilter() {
            @Override
            protected boolean shouldNotFilter(HttpServletRequest request) {
                // The path decoded, as it is matched: /api/sign-i%6E signs in as well.
                return !(HttpMethod.POST.matches(request.getMethod())
                        && List.of(SIGN_IN, "/api/setup").contains(request.getServletPath()));
            }

            @Override
            protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                    throws ServletException, IOException {
                String name = request.getServletPath().equals(SIGN_IN)
                        ? String.valueOf(request.getParameter("username"))
                        : "the first owner";
                if (limit.allows(name, request.getRemoteAddr())) {
                    chain.doFilter(request, response);
                } else {
                    problems.write(
                            response,
                            HttpStatus.TOO_MANY_REQUESTS,
                            "too-many-attempts",
                            "Too many attempts. Wait a quarter of an hour and try again.");
                }
            }
        };
    }
}
