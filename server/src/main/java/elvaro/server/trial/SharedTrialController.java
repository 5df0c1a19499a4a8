package elvaro.server.trial;

import elvaro.server.share.ShareLinks;
import elvaro.server.share.SharedKind;
import jakarta.servlet.http.HttpServletRequest;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** A trial that is shown around: its link for the house, its page for whoever has the link. */
@RestController
class SharedTrialController {
    private final ShareLinks links;
    private final TrialGathering trials;
    private final SharedTrials shared;

    SharedTrialController(ShareLinks links, TrialGathering trials, SharedTrials shared) {
        this.links = links;
        this.trials = trials;
        this.shared = shared;
    }

    /** @param path of the page; absent while it is not shown around */
    record ShareView(@Nullable String path) {}

    @GetMapping("/api/trials/{id}/share")
    ShareView shared(@PathVariable UUID id) {
        trials.find(id);
        return new ShareView(links.path(SharedKind.TRIAL, id).orElse(null));
    }

    /** Shows it around; asked again, it is the same link. */
    @PutMapping("/api/trials/{id}/share")
    @PreAuthorize("hasRole('OWNER')")
    ShareView share(@PathVariable UUID id) {
        trials.find(id);
        return new ShareView(links.share(SharedKind.TRIAL, id));
    }

    /** Takes the link back. */
    @DeleteMapping("/api/trials/{id}/share")
    @PreAuthorize("hasRole('OWNER')")
    ShareView takeBack(@PathVariable UUID id) {
        trials.find(id);
        links.takeBack(SharedKind.TRIAL, id);
        return new ShareView(null);
    }

    /** What the link opens. */
    @GetMapping("/shared/trial")
    SharedTrial page(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            HttpServletRequest request) {
        return links.open(SharedKind.TRIAL, authorization, request.getRemoteAddr(), shared::view);
    }

    /** A photo of one of its pieces. */
    @GetMapping(path = "/shared/trial/photos/{photoId}", produces = MediaType.IMAGE_JPEG_VALUE)
    byte[] photo(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @PathVariable UUID photoId,
            HttpServletRequest request) {
        return links.open(SharedKind.TRIAL, authorization, request.getRemoteAddr(), id -> shared.photo(id, photoId));
    }

    /** The same to print. */
    @GetMapping(path = "/shared/trial/pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] pdf(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            HttpServletRequest request) {
        return links.open(SharedKind.TRIAL, authorization, request.getRemoteAddr(), shared::pdf);
    }

    /** The same as one picture. */
    @GetMapping(path = "/shared/trial/picture", produces = MediaType.IMAGE_PNG_VALUE)
    byte[] picture(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            HttpServletRequest request) {
        return links.open(SharedKind.TRIAL, authorization, request.getRemoteAddr(), shared::picture);
    }
}
