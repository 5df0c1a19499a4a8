package elvaro.server.shared;

import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** The address under which people reach the house, for links that leave the application: on paper and in calendars. */
public final class HouseAddress {
    private HouseAddress() {}

    /** As whoever asks now has reached it, without a slash at the end. */
    public static String now() {
        return ServletUriComponentsBuilder.fromCurrentContextPath().toUriString();
    }
}
