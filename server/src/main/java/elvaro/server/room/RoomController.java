package elvaro.server.room;

import elvaro.server.room.RoomService.RoomView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class RoomController {
    private final RoomService service;

    RoomController(RoomService service) {
        this.service = service;
    }

    @GetMapping("/api/room")
    RoomView room() {
        return service.view();
    }
}
