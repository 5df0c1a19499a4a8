package elvaro.server.room;

import elvaro.server.room.RoomService.RoomState;
import elvaro.server.room.RoomService.RoomView;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;

@RestController
class RoomController {
    private final RoomService service;

    RoomController(RoomService service) {
        this.service = service;
    }

    /** Answered without a body where the asker has the room as it still is. */
    @GetMapping("/api/room")
    ResponseEntity<RoomView> room(WebRequest request) {
        RoomState state = service.state();
        // A weak one: what has a strong tag is not compressed.
        String tag = "W/\"%s-%d-%d\""
                .formatted(state.workshopId(), state.change(), state.minute().getEpochSecond());
        CacheControl ask = CacheControl.noCache().cachePrivate();
        if (request.checkNotModified(tag)) {
            return ResponseEntity.status(HttpStatus.NOT_MODIFIED)
                    .cacheControl(ask)
                    .eTag(tag)
                    .build();
        }
        return ResponseEntity.ok().cacheControl(ask).eTag(tag).body(service.view(state));
    }
}
