package elvaro.server.account;

import elvaro.server.shared.ProblemWriter;
import elvaro.server.shared.SignedIn;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.InternalAuthenticationServiceException;
import org.springframework.security.config.annotation.method.configuration.EnableMethodSecurity;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.authentication.session.ChangeSessionIdAuthenticationStrategy;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.webauthn.authentication.PublicKeyCredentialRequestOptionsFilter;
import org.springframework.security.web.webauthn.authentication.WebAuthnAuthenticationFilter;
import org.springframework.security.web.webauthn.registration.PublicKeyCredentialCreationOptionsFilter;
import org.springframework.security.web.webauthn.registration.WebAuthnRegistrationFilter;
import org.springframework.web.filter.OncePerRequestFilter;

/** Who may call what. Sign-in is Spring Security's own form login, answered with problems rather than pages. */
@Configuration
@EnableMethodSecurity
class SecurityConfig {
    private static final String SIGN_IN = "/api/sign-in";
    private static final String SETUP = "/api/setup";
    private static final String BY_CODE = "/api/password-by-code";
    private static final String PASSKEY_ASKED = "/webauthn/authenticate/options";
    private static final String PERSON = "X-Elvaro-Person";
    private static final Duration LONGEST_SESSION = Duration.ofDays(90);
    private static final String CONTENT_POLICY =
            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none';"
                    + " base-uri 'none'; frame-ancestors 'none'; form-action 'self'";

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    @Bean
    SecurityFilterChain requests(
            HttpSecurity http,
            SignInLimit limit,
            KnownDevices devices,
            Passkeys passkeys,
            ProblemWriter problems,
            Clock clock) {
        AuthenticationSuccessHandler entered = entered(limit, devices);
        http.authorizeHttpRequests(
                        requests -> requests.dispatcherTypeMatchers(DispatcherType.FORWARD, DispatcherType.ERROR)
                                .permitAll()
                                .requestMatchers(HttpMethod.GET, "/api/session")
                                .permitAll()
                                .requestMatchers(HttpMethod.POST, SIGN_IN, SETUP, BY_CODE)
                                .permitAll()
                                .requestMatchers("/actuator/health/**")
                                .permitAll()
                                .requestMatchers("/api/**", "/actuator/**")
                                .authenticated()
                                .anyRequest()
                                .permitAll())
                // Devices and tasters have no session that another site could ride on; they bring their token with
                // every request, as the address in a mail does. That a phone showed a message is said by its service
                // worker, which has no page to take a token from.
                .csrf(csrf -> csrf.spa()
                        .ignoringRequestMatchers("/devices/**", "/taste/**", "/stop/**", "/api/me/notices/shown"))
                // A taster's address is a secret, which no other site shall be told.
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.NO_REFERRER)))
                .requestCache(cache -> cache.disable())
                .formLogin(form ->
                        form.loginProcessingUrl(SIGN_IN).successHandler(entered).failureHandler(refused(problems)))
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
                .addFilterBefore(limited(limit, devices, problems), UsernamePasswordAuthenticationFilter.class)
                .addFilterBefore(endsOnce(clock), SecurityContextHolderFilter.class)
                .addFilterBefore(
                        byPasskey(passkeys, entered, refused(problems)), UsernamePasswordAuthenticationFilter.class)
                .addFilterBefore(
                        new PublicKeyCredentialRequestOptionsFilter(passkeys.operations()),
                        UsernamePasswordAuthenticationFilter.class)
                .addFilterAfter(
                        new PublicKeyCredentialCreationOptionsFilter(passkeys.operations()), AuthorizationFilter.class)
                // It makes passkeys; its own way to remove one is shut unless it is opened (denyAll).
                .addFilterAfter(
                        new WebAuthnRegistrationFilter(passkeys.keys(), passkeys.operations()),
                        AuthorizationFilter.class)
                .addFilterAfter(sameHands(problems), AuthorizationFilter.class);
        return http.build();
    }

    private static AuthenticationSuccessHandler entered(SignInLimit limit, KnownDevices devices) {
        return (request, response, person) -> {
            SignedIn who = (SignedIn) person.getPrincipal();
            String name = request.getParameter("username");
            if (name != null) { // with a passkey nobody guesses, and nothing was counted
                limit.forgive(name, request.getRemoteAddr(), devices.known(request, name));
            }
            devices.remember(request, response, who);
            request.getSession()
                    .setAttribute(
                            MySessions.KIND,
                            MySessions.kind(String.valueOf(request.getHeader(HttpHeaders.USER_AGENT))));
            response.setStatus(HttpStatus.NO_CONTENT.value());
        };
    }

    private static AuthenticationFailureHandler refused(ProblemWriter problems) {
        return (request, response, failure) -> {
            if (failure instanceof InternalAuthenticationServiceException) {
                problems.write(request, response, failure); // nobody could look whether they belong together
            } else {
                problems.write(
                        response,
                        HttpStatus.UNAUTHORIZED,
                        "sign-in-failed",
                        request.getServletPath().equals(SIGN_IN)
                                ? "Name and password do not belong together. Check both and try again."
                                : "This passkey opens nothing here. Sign in with your password.");
            }
        };
    }

    private static WebAuthnAuthenticationFilter byPasskey(
            Passkeys passkeys, AuthenticationSuccessHandler entered, AuthenticationFailureHandler refused) {
        WebAuthnAuthenticationFilter filter = new WebAuthnAuthenticationFilter();
        filter.setAuthenticationManager(passkeys::enter);
        filter.setAuthenticationSuccessHandler(entered);
        filter.setAuthenticationFailureHandler(refused);
        filter.setSessionAuthenticationStrategy(new ChangeSessionIdAuthenticationStrategy());
        filter.setSecurityContextRepository(new HttpSessionSecurityContextRepository());
        return filter;
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

    /** However often it is used, a session ends one day. */
    private static OncePerRequestFilter endsOnce(Clock clock) {
        return new OncePerRequestFilter() {
            @Override
            protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                    throws ServletException, IOException {
                HttpSession session = request.getSession(false);
                if (session != null
                        && Instant.ofEpochMilli(session.getCreationTime())
                                .plus(LONGEST_SESSION)
                                .isBefore(clock.instant())) {
                    session.invalidate();
                }
                chain.doFilter(request, response);
            }
        };
    }

    private static OncePerRequestFilter limited(SignInLimit limit, KnownDevices devices, ProblemWriter problems) {
        return new OncePerRequestFilter() {
            @Override
            protected boolean shouldNotFilter(HttpServletRequest request) {
                // The path decoded, as it is matched: /api/sign-i%6E signs in as well.
                return !(HttpMethod.POST.matches(request.getMethod())
                        && List.of(SIGN_IN, SETUP, BY_CODE, PASSKEY_ASKED).contains(request.getServletPath()));
            }

            @Override
            protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                    throws ServletException, IOException {
                String name = String.valueOf(request.getParameter("username"));
                boolean allowed = request.getServletPath().equals(SIGN_IN)
                        ? limit.allows(name, request.getRemoteAddr(), devices.known(request, name))
                        : limit.allows(request.getRemoteAddr());
                if (allowed) {
                    chain.doFilter(request, response);
                } else {
                    response.setHeader(HttpHeaders.RETRY_AFTER, "900");
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
