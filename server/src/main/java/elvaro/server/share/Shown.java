package elvaro.server.share;

import elvaro.server.shared.Refusal;
import java.util.UUID;

/** Things of one kind as they are shown around; each has its own page beside it. */
public interface Shown {
    SharedKind kind();

    /** @throws Refusal if the house has none of that id */
    void find(UUID id);

    /** On paper. */
    byte[] pdf(UUID id);

    /** The same as one picture, a PNG. */
    byte[] picture(UUID id);

    /**
     * A photo of it, a JPEG.
     *
     * @throws Refusal if it is none of its photos
     */
    byte[] photo(UUID id, UUID photoId);
}
