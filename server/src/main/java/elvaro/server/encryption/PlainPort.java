package elvaro.server.encryption;

import elvaro.server.shared.ProblemWriter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.apache.catalina.connector.Connector;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Where the house is encrypted, an unencrypted port beside it leads people over, and takes what cannot be encrypted: probes
 * and scales, which trust no certificate, and the page by which a phone comes to trust the house.
 */
@Configuration
class PlainPort {
    private static final String FIVE_SECONDS = "5000";
    private static final String FEW = "500";

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> plainBesideEncrypted(
            @Value("${elvaro.plain-port}") int port, @Value("${server.address}") String address) {
        return server -> {
            if (port > 0) {
                Connector plain = new Connector();
                plain.setPort(port);
                plain.setProperty("address", address);
                plain.setProperty("connectionTimeout", FIVE_SECONDS);
                plain.setProperty("maxConnections", FEW);
                server.addAdditionalConnectors(plain);
            }
        };
    }

    /** Nothing of what people say goes in the open. */
    @Component
    @Order(Ordered.HIGHEST_PRECEDENCE)
    static class OnlyEncrypted extends OncePerRequestFilter {
        private static final List<String> MAY_BE_PLAIN = List.of("/devices/", "/trust", "/actuator/health");

        private final int plain;
        private final int encrypted;
        private final ProblemWriter problems;

        OnlyEncrypted(
                @Value("${elvaro.plain-port}") int plain,
                @Value("${server.port}") int encrypted,
                ProblemWriter problems) {
            this.plain = plain;
            this.encrypted = encrypted;
            this.problems = problems;
        }

        @Override
        protected boolean shouldNotFilter(HttpServletRequest request) {
            return plain == 0
                    || request.getLocalPort() != plain
                    || MAY_BE_PLAIN.stream().anyMatch(request.getServletPath()::startsWith);
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            if (!List.of("GET", "HEAD").contains(request.getMethod())) {
                problems.write(
                        response,
                        HttpStatus.FORBIDDEN,
                        "not-encrypted",
                        "This came unencrypted and was not looked at. Open Elvaro by its address that begins with https://.");
                return;
            }
            String query = request.getQueryString() == null ? "" : "?" + request.getQueryString();
            response.setStatus(HttpStatus.PERMANENT_REDIRECT.value());
            response.setHeader(
                    HttpHeaders.LOCATION,
                    "https://%s:%d%s%s".formatted(request.getServerName(), encrypted, request.getRequestURI(), query));
        }
    }
}
