package elvaro.server.share;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** What is shown around: its link for the house, what to keep of it for whoever has the link. */
@RestController
class ShareController {
    private final ShareLinks links;
    private final Map<SharedKind, Shown> shown;

    ShareController(ShareLinks links, List<Shown> shown) {
        this.links = links;
        this.shown = shown.stream().collect(Collectors.toMap(Shown::kind, Function.identity()));
    }

    /** @param path of the page; absent while it is not shown around */
    record ShareView(@Nullable String path) {}

    @GetMapping("/api/share/{kind}/{id}")
    ShareView link(@PathVariable SharedKind kind, @PathVariable UUID id) {
        of(kind).find(id);
        return new ShareView(links.path(kind, id).orElse(null));
    }

    /** Shows it around; asked again, it is the same link. */
    @PutMapping("/api/share/{kind}/{id}")
    @PreAuthorize("hasRole('OWNER')")
    ShareView share(@PathVariable SharedKind kind, @PathVariable UUID id) {
        of(kind).find(id);
        return new ShareView(links.share(kind, id));
    }

    /** Takes the link back. */
    @DeleteMapping("/api/share/{kind}/{id}")
    @PreAuthorize("hasRole('OWNER')")
    ShareView takeBack(@PathVariable SharedKind kind, @PathVariable UUID id) {
        of(kind).find(id);
        links.takeBack(kind, id);
        return new ShareView(null);
    }

    /** A photo of it. */
    @GetMapping(path = "/shared/{kind}/photos/{photoId}", produces = MediaType.IMAGE_JPEG_VALUE)
    byte[] photo(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @PathVariable SharedKind kind,
            @PathVariable UUID photoId,
            HttpServletRequest request) {
        return links.open(kind, authorization, request.getRemoteAddr(), id -> of(kind).photo(id, photoId));
    }

    /** The page to print. */
    @GetMapping(path = "/shared/{kind}/pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] pdf(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @PathVariable SharedKind kind,
            HttpServletRequest request) {
        return links.open(kind, authorization, request.getRemoteAddr(), of(kind)::pdf);
    }

    /** The page as one picture. */
    @GetMapping(path = "/shared/{kind}/picture", produces = MediaType.IMAGE_PNG_VALUE)
    byte[] picture(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @PathVariable SharedKind kind,
            HttpServletRequest request) {
        return links.open(kind, authorization, request.getRemoteAddr(), of(kind)::picture);
    }

    private Shown of(SharedKind kind) {
        return shown.get(kind);
    }
}
