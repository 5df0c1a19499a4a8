package elvaro.server.guard;

import elvaro.server.shared.Refusal;
import elvaro.server.shared.TakesUpTo;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.Enumeration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.http.converter.FormHttpMessageConverter;
import org.springframework.http.server.ServletServerHttpRequest;
import org.springframework.stereotype.Component;
import org.springframework.util.MultiValueMap;
import org.springframework.web.filter.OncePerRequestFilter;

/** Every body is bounded: in size by its route, in slowness, and in how many are read at once. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class Bodies extends OncePerRequestFilter {
    /** Bytes that are read of what was turned away, so that the answer is heard. */
    private static final long MOST_UNWANTED = 64_000_000;

    private static final String BODY = Bodies.class.getName();
    private static final FormHttpMessageConverter FORMS = new FormHttpMessageConverter();

    private final BodyPlaces places;

    Bodies(BodyPlaces places) {
        this.places = places;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        BodyPlaces.Place place = places.of(request.getRemoteAddr());
        Bounded bounded = new Bounded(request, place);
        try {
            chain.doFilter(bounded, response);
        } finally {
            if (!request.isAsyncStarted() && bounded.isLeft()) {
                bounded.readTheRest();
            }
            place.answered();
            if (place.isSlow()) {
                request.setAttribute(SlowBodyValve.SLOW, true);
            }
        }
    }

    /**
     * Told what the route takes, before anything is read.
     *
     * @throws Refusal if more is coming, or others are sending too much
     */
    static void allow(HttpServletRequest request, long bytes) {
        if (request.getContentLengthLong() > bytes) {
            throw BoundedBody.tooLarge(bytes);
        }
        if (request.getAttribute(BODY) instanceof Bounded bounded) {
            bounded.allow(bytes);
        }
    }

    private static final class Bounded extends HttpServletRequestWrapper {
        private final BodyPlaces.Place place;
        private @Nullable BoundedBody body;
        private @Nullable MultiValueMap<String, String> form;
        private long mostBytes = TakesUpTo.ORDINARY;

        Bounded(HttpServletRequest request, BodyPlaces.Place place) {
            super(request);
            this.place = place;
            request.setAttribute(BODY, this);
        }

        boolean isLeft() {
            boolean isThere = getContentLengthLong() > 0 || getHeader("Transfer-Encoding") != null;
            return isThere && (body == null || !body.isFinished());
        }

        /** Whoever is still sending hears the answer only after that; but slowly, or for long, nothing is waited for. */
        void readTheRest() throws IOException {
            try {
                ServletInputStream rest = getInputStream();
                body.allowUnwanted(MOST_UNWANTED);
                rest.skipNBytes(MOST_UNWANTED);
                place.slow();
            } catch (IOException end) {
                // All of it was read, or there is nobody any more.
            } catch (Refusal notWaitedFor) {
                place.slow();
            }
        }

        void allow(long bytes) {
            if (bytes != TakesUpTo.AS_IT_COMES) {
                place.hold(getContentLengthLong() < 0 ? bytes : getContentLengthLong());
            }
            mostBytes = bytes;
            if (body != null) {
                body.allow(bytes);
            }
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (body == null) {
                body = new BoundedBody(super.getInputStream(), place, mostBytes, System::nanoTime);
            }
            return body;
        }

        /** Sent as a form, as the sign-in is: the server would else read it by itself, without these bounds. */
        private Optional<MultiValueMap<String, String>> form() {
            if (form == null
                    && String.valueOf(getContentType()).startsWith(MediaType.APPLICATION_FORM_URLENCODED_VALUE)) {
                try {
                    form = FORMS.read(null, new ServletServerHttpRequest(this) {
                        @Override
                        public InputStream getBody() throws IOException {
                            return getInputStream();
                        }
                    });
                } catch (IOException | IllegalArgumentException malformed) {
                    throw Refusal.wrong("unreadable", "form", "This is no form. Nothing was saved.");
                }
            }
            return Optional.ofNullable(form);
        }

        @Override
        public @Nullable String getParameter(String name) {
            return form().map(each -> each.getFirst(name)).orElseGet(() -> super.getParameter(name));
        }

        @Override
        public String @Nullable [] getParameterValues(String name) {
            return form().map(each -> each.getOrDefault(name, List.of()).toArray(String[]::new))
                    .orElseGet(() -> super.getParameterValues(name));
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            return form().map(each -> each.entrySet().stream()
                            .collect(Collectors.toMap(
                                    Map.Entry::getKey, entry -> entry.getValue().toArray(String[]::new))))
                    .orElseGet(super::getParameterMap);
        }

        @Override
        public Enumeration<String> getParameterNames() {
            return Collections.enumeration(getParameterMap().keySet());
        }

        @Override
        public BufferedReader getReader() throws IOException {
            Charset charset = Optional.ofNullable(getCharacterEncoding())
                    .map(Charset::forName)
                    .orElse(StandardCharsets.UTF_8);
            return new BufferedReader(new InputStreamReader(getInputStream(), charset));
        }
    }
}
