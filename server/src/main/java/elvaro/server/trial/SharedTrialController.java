package elvaro.server.trial;

import elvaro.server.look.LookService;
import elvaro.server.share.ShareLinks;
import elvaro.server.share.SharedKind;
import elvaro.server.shared.Refusal;
import elvaro.server.treatment.Given;
import elvaro.server.treatment.TreatmentService;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
    private final TrialReading reading;
    private final TrialGathering trials;
    private final ArmSetUps setUps;
    private final TreatmentService treatments;
    private final LookService looks;

    SharedTrialController(
            ShareLinks links,
            TrialReading reading,
            TrialGathering trials,
            ArmSetUps setUps,
            TreatmentService treatments,
            LookService looks) {
        this.links = links;
        this.reading = reading;
        this.trials = trials;
        this.setUps = setUps;
        this.treatments = treatments;
        this.looks = looks;
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
        return links.open(SharedKind.TRIAL, authorization, request.getRemoteAddr(), this::view);
    }

    /** A photo of one of its pieces. */
    @GetMapping(path = "/shared/trial/photos/{photoId}", produces = MediaType.IMAGE_JPEG_VALUE)
    byte[] photo(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @PathVariable UUID photoId,
            HttpServletRequest request) {
        return links.open(SharedKind.TRIAL, authorization, request.getRemoteAddr(), id -> photo(id, photoId));
    }

    private byte[] photo(UUID trial, UUID photoId) {
        return reading.view(trial).arms().stream()
                .flatMap(arm -> arm.pieces().stream())
                .flatMap(piece -> piece.looks().stream()
                        .filter(look -> look.photos().contains(photoId))
                        .map(look -> looks.photo(piece.card().id(), look.id(), photoId)))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("picture"));
    }

    private SharedTrial view(UUID id) {
        TrialWithPieces whole = trials.whole(trials.find(id));
        Map<UUID, String> done = setUps.of(List.of(whole)).entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, each -> words(each.getValue())));
        return SharedTrial.of(reading.view(id), done);
    }

    private String words(SetUp setUp) {
        if (setUp.isFresh() || setUp.method() == null) {
            return "set aside fresh";
        }
        return Stream.concat(
                        Stream.of("%s, %d days".formatted(setUp.method().label(), setUp.targetDays())),
                        setUp.treatments().stream().map(treatments::given).map(Given::words))
                .collect(Collectors.joining("; "));
    }
}
