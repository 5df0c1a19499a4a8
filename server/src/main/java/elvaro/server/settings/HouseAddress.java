package elvaro.server.settings;

import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** The address under which people reach the house, for links that leave the application: on paper, in calendars, in mail. */
@Component
public class HouseAddress {
    /** What needs no asking a name server: digits, or the machine's own name. */
    private static final Pattern PLAIN = Pattern.compile("[0-9.]+|\\[[0-9a-fA-F:]+]|localhost");

    private final WorkshopService workshops;
    private final String started;

    /** @param started the address the application was started for */
    HouseAddress(WorkshopService workshops, @Value("${elvaro.address}") String started) {
        this.workshops = workshops;
        this.started = withoutSlash(started);
    }

    /** As the owner set it, without a slash at the end; else as whoever asks now has reached it, else as it was started. */
    public String now() {
        return set().orElseGet(() -> RequestContextHolder.getRequestAttributes() == null
                ? started
                : ServletUriComponentsBuilder.fromCurrentContextPath().toUriString());
    }

    /** Whether only the machine itself reaches it: what leaves the machine with it leads nowhere. */
    public boolean isOnlyHere() {
        return isOnlyHere(now());
    }

    private Optional<String> set() {
        return Optional.ofNullable(workshops.settings().publicAddress()).filter(address -> !address.isEmpty());
    }

    static boolean isOnlyHere(String address) {
        String host = URI.create(address).getHost();
        try {
            return host != null
                    && PLAIN.matcher(host).matches()
                    && InetAddress.getByName(host).isLoopbackAddress();
        } catch (UnknownHostException noAddress) {
            return false;
        }
    }

    static String withoutSlash(String address) {
        return address.strip().replaceAll("/+$", "");
    }
}
