package elvaro.server.look;

import java.time.Instant;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes in pictures that were taken before, by the same way as a person does. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class PhotoHistory {
    private final PhotoService service;

    PhotoHistory(PhotoService service) {
        this.service = service;
    }

    public void add(UUID pieceId, UUID photoId, PhotoMoment shows, Instant at, byte[] picture) {
        service.keep(pieceId, photoId, shows, at, picture);
    }
}
