package elvaro.server.guard;

import elvaro.server.shared.TakesUpTo;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Says to a body what its route takes, and to whoever wants to write whether there is room. */
@Configuration
class BodyLimits implements WebMvcConfigurer, HandlerInterceptor {
    private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");

    private final DiskRoom room;

    BodyLimits(DiskRoom room) {
        this.room = room;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (!READS.contains(request.getMethod())) {
            room.mustBeEnough();
        }
        Bodies.allow(request, handler instanceof HandlerMethod method ? mostBytes(method) : TakesUpTo.ORDINARY);
        return true;
    }

    private static int mostBytes(HandlerMethod method) {
        TakesUpTo told = AnnotatedElementUtils.findMergedAnnotation(method.getMethod(), TakesUpTo.class);
        if (told == null) {
            told = AnnotatedElementUtils.findMergedAnnotation(method.getBeanType(), TakesUpTo.class);
        }
        return told == null ? TakesUpTo.ORDINARY : told.value();
    }
}
