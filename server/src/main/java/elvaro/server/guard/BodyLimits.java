package elvaro.server.guard;

import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.TakesUpTo;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.lang.annotation.Annotation;
import java.util.Optional;
import java.util.Set;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Before a body is read: whether it is for the owner, whether there is room to write, and how much the route takes. */
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

    /**
     * @throws Refusal if there is no room, or more is coming than may
     * @throws AccessDeniedException if it is for the owner; Spring Security says so too, but only once the body is read
     */
    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method && isForOwner(method) && !request.isUserInRole(Role.OWNER.name())) {
            throw new AccessDeniedException("For the owner");
        }
        if (!READS.contains(request.getMethod())) {
            room.mustBeEnough();
        }
        Bodies.allow(request, handler instanceof HandlerMethod method ? mostBytes(method) : TakesUpTo.ORDINARY);
        return true;
    }

    private static boolean isForOwner(HandlerMethod method) {
        return said(method, PreAuthorize.class).isPresent();
    }

    private static int mostBytes(HandlerMethod method) {
        return said(method, TakesUpTo.class).map(TakesUpTo::value).orElse(TakesUpTo.ORDINARY);
    }

    /** On the route itself, or on its controller. */
    private static <A extends Annotation> Optional<A> said(HandlerMethod method, Class<A> what) {
        return Optional.ofNullable(AnnotatedElementUtils.findMergedAnnotation(method.getMethod(), what))
                .or(() -> Optional.ofNullable(AnnotatedElementUtils.findMergedAnnotation(method.getBeanType(), what)));
    }
}
