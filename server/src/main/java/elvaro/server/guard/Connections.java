package elvaro.server.guard;

import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How the server treats connections. */
@Configuration
class Connections {
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> endsSlowBodies() {
        return server -> server.addEngineValves(new SlowBodyValve());
    }
}
