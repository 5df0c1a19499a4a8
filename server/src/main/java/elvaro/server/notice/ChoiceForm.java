package elvaro.server.notice;

import elvaro.core.notice.NoticeGroup;
import elvaro.server.channel.ChannelKind;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalTime;
import java.util.Map;
import java.util.Set;

/**
 * How a person wants to be told.
 *
 * @param mail address; empty for none
 * @param zone in which the hours are meant; empty for that of the house
 * @param morningAt when the morning list comes
 * @param quietFrom begin of the hours in which nothing comes that can wait; the same as their end for none
 * @param ownWorkOnly whether the list leaves out what others keep
 * @param ways by group, how; a group that is missing is not told
 */
public record ChoiceForm(
        @NotNull Integer version,

        @NotNull @Size(max = 120, message = "The address is too long.") @Email(message = "That is no e-mail address.")
        String mail,

        @NotNull @Size(max = 40) String zone,
        @NotNull LocalTime morningAt,
        @NotNull LocalTime quietFrom,
        @NotNull LocalTime quietTo,
        @NotNull Boolean ownWorkOnly,
        @NotNull @Size(max = 10) Map<NoticeGroup, @NotNull @Size(max = 3) Set<ChannelKind>> ways) {}
