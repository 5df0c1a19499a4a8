package elvaro.server.channel;

import elvaro.core.notice.Loudness;
import elvaro.core.notice.NoticeKind;
import elvaro.core.notice.NoticeText;
import java.time.Instant;
import java.util.Optional;

/**
 * A message as it leaves, whichever way.
 *
 * @param key the same however often it is sent; whoever gets it twice knows it by this
 * @param text written for whoever gets it
 * @param path of what it is about, within the application
 * @param house how the house is called
 * @param address of the house, without a slash at the end
 * @param madeAt when it was found that it is to be told
 * @param stop where the reader can end messages of this group, as an address; empty for what nobody should end by a slip
 */
public record Outgoing(
        String key,
        NoticeKind kind,
        Loudness loudness,
        NoticeText text,
        String path,
        String house,
        String address,
        Instant madeAt,
        Optional<String> stop) {}
