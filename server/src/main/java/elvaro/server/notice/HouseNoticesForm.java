package elvaro.server.notice;

import elvaro.core.notice.NoticeGroup;
import elvaro.server.channel.MailServer.MailSecurity;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * How the house tells.
 *
 * @param mailHost of the mail server; empty for none
 * @param mailPassword absent to leave it as it is; never shown
 * @param mailPasswordKept whether one is kept that this house can read; shown, not read
 * @param hookAddress of the program that is called; empty for none
 * @param hookSecretMade whether the program has a secret; shown, not read
 * @param warmMinutes so long too warm before it is told
 * @param silentMinutes so long without a word from a probe
 * @param steps who is told of the air of a chamber, one after another
 */
public record HouseNoticesForm(
        @NotNull Integer version,

        @NotNull
        @Pattern(regexp = "[A-Za-z0-9.:_-]{0,200}", message = "A mail server is named like mail.house.example.")
        String mailHost,

        @NotNull
        @Min(value = 1, message = "A port is 1 to 65535.")
        @Max(value = 65_535, message = "A port is 1 to 65535.")
        Integer mailPort,

        @NotNull MailSecurity mailSecurity,

        @NotNull @Size(max = 200, message = "The name is too long.")
        String mailUser,

        @Nullable @Size(max = 200, message = "The password is too long.")
        String mailPassword,

        @Nullable Boolean mailPasswordKept,

        @NotNull
        @Pattern(regexp = "([^\\s@<>\"]+@[^\\s@<>\"]+)?", message = "That is no e-mail address.")
        @Size(max = 120)
        String mailFrom,

        @NotNull
        @Size(max = 500, message = "The address is too long.")
        @Pattern(regexp = "(https?://[^\\s]+)?", message = "An address begins with https:// or http://.")
        String hookAddress,

        @Nullable Boolean hookSecretMade,
        @NotNull @Size(max = 10) Set<NoticeGroup> hookGroups,

        @NotNull
        @Min(value = 5, message = "At least five minutes: a door is opened and shut.")
        @Max(value = 240, message = "At most four hours.")
        Integer warmMinutes,

        @NotNull @Min(value = 10, message = "At least ten minutes.") @Max(value = 1_440, message = "At most a day.")
        Integer silentMinutes,

        @NotNull @Size(min = 1, max = 8, message = "Say who is told first, and at most seven after.")
        List<@Valid @NotNull AlarmStep> steps) {}
