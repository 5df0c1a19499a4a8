package elvaro.server.account;

import elvaro.server.shared.Sha256;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * How often somebody may try within a quarter of an hour: ten times for a name from one address, sixty times from an address,
 * and a hundred times for a name from wherever; on a device its owner has signed in on before ten times, whatever
 * strangers do meanwhile (docs/decisions/0003 says why no library does this).
 */
@Component
class SignInLimit {
    private static final Duration WINDOW = Duration.ofMinutes(15);
    private static final int TRIES_OF_A_NAME_HERE = 10;
    private static final int TRIES_OF_A_NAME = 100;
    private static final int TRIES_OF_AN_ADDRESS = 60;
    private static final int TRIES_OF_A_DEVICE = 10;
    private static final int NETWORK_BYTES = 8;

    private final SignInAttempts attempts;

    SignInLimit(SignInAttempts attempts) {
        this.attempts = attempts;
    }

    /**
     * Counts one attempt; false once there were too many.
     *
     * @param device that the name was signed in on before
     */
    boolean allows(String signInName, String address, Optional<String> device) {
        if (device.isPresent()) {
            return attempts.count(deviceKey(device.get()), WINDOW) <= TRIES_OF_A_DEVICE;
        }
        return allows(address)
                && attempts.count(hereKey(signInName, address), WINDOW) <= TRIES_OF_A_NAME_HERE
                && attempts.count(nameKey(signInName), WINDOW) <= TRIES_OF_A_NAME;
    }

    /** The same of somebody who names nobody: with a code. */
    boolean allows(String address) {
        return attempts.count("address " + network(address), WINDOW) <= TRIES_OF_AN_ADDRESS;
    }

    /** The same of a signed-in person who is asked for their password once more. */
    boolean allowsPassword(String accountId) {
        return attempts.count("password " + accountId, WINDOW) <= TRIES_OF_A_NAME_HERE;
    }

    /** A person who got in starts afresh, and what is too old to count is cleared away. */
    void forgive(String signInName, String address, Optional<String> device) {
        attempts.clear(hereKey(signInName, address), WINDOW);
        device.ifPresent(known -> attempts.clear(deviceKey(known), WINDOW));
    }

    void forgivePassword(String accountId) {
        attempts.clear("password " + accountId, WINDOW);
    }

    private static String deviceKey(String device) {
        return "device " + device;
    }

    /** What is typed as a name may be anything of any length; its hash is short and tells nothing. */
    private static String nameKey(String signInName) {
        return "name " + Sha256.of(SignInDirectory.canonical(signInName).getBytes(StandardCharsets.UTF_8));
    }

    private static String hereKey(String signInName, String address) {
        String both = SignInDirectory.canonical(signInName) + " at " + network(address);
        return "here " + Sha256.of(both.getBytes(StandardCharsets.UTF_8));
    }

    /** Whoever has an IPv6 address has a whole network of them (RFC 6177): the first 64 bits count. */
    private static String network(String address) {
        try {
            InetAddress parsed = InetAddress.getByName(address); // a literal, which asks nobody
            return parsed instanceof Inet6Address six
                    ? HexFormat.of().formatHex(Arrays.copyOf(six.getAddress(), NETWORK_BYTES))
                    : parsed.getHostAddress();
        } catch (UnknownHostException none) {
            return address;
        }
    }
}
