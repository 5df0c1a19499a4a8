package elvaro.server.look;

import elvaro.server.shared.TakesUpTo;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Pictures of a piece, at any moment of its life. */
@RestController
class PhotoController {
    private final PhotoService service;

    PhotoController(PhotoService service) {
        this.service = service;
    }

    /** Every picture of the piece, in the order they were taken. */
    @GetMapping("/api/pieces/{id}/photos")
    List<StoryPhoto> story(@PathVariable UUID id) {
        return service.story(id);
    }

    /** The bytes of a JPEG or PNG; sent again, it is kept once. */
    @TakesUpTo(Photos.MOST_BYTES)
    @PutMapping(path = "/api/pieces/{id}/photos/{photoId}", consumes = MediaType.ALL_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(
            @PathVariable UUID id,
            @PathVariable UUID photoId,
            @RequestParam PhotoMoment shows,
            @RequestParam(required = false) @Nullable Instant at,
            InputStream body)
            throws IOException {
        service.keep(id, photoId, shows, at, body.readAllBytes());
    }

    @GetMapping(path = "/api/pieces/{id}/photos/{photoId}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> picture(
            @PathVariable UUID id,
            @PathVariable UUID photoId,
            @RequestParam(defaultValue = "false") boolean thumbnail) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                .body(service.picture(id, photoId, thumbnail));
    }
}
