package elvaro.server.notice;

import elvaro.core.notice.NoticeGroup;
import elvaro.server.chain.HouseKey;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/**
 * The address in a mail that ends mails of its group (RFC 8058). Whoever reads the mail need not sign in: the house signed the
 * address, which so opens this and nothing else.
 */
@Service
class MailStops {
    private final HouseKey key;
    private final NoticeSettings settings;
    private final CurrentWorkshop current;
    private final JdbcClient database;

    MailStops(HouseKey key, NoticeSettings settings, CurrentWorkshop current, JdbcClient database) {
        this.key = key;
        this.settings = settings;
        this.current = current;
        this.database = database;
    }

    String path(UUID account, NoticeGroup group) {
        String signature = key.sign(words(account, group))
                .replace('+', '-')
                .replace('/', '_')
                .replace("=", "");
        return "/stop/%s/%s/%s".formatted(account, group, signature);
    }

    private static byte[] words(UUID account, NoticeGroup group) {
        return "no more of %s by mail to %s".formatted(group, account).getBytes(StandardCharsets.US_ASCII);
    }

    /**
     * Of what it is the address.
     *
     * @throws Refusal if this house did not write it
     */
    NoticeGroup mustBeOurs(String account, String group, String signature) {
        try {
            NoticeGroup of = NoticeGroup.valueOf(group);
            String text =
                    Base64.getEncoder().encodeToString(Base64.getUrlDecoder().decode(signature));
            if (HouseKey.signed(key.open(), words(UUID.fromString(account), of), text)) {
                return of;
            }
        } catch (IllegalArgumentException noAddress) {
            // the same as a wrong one
        }
        throw Refusal.notFound("address");
    }

    void stop(String accountId, String groupName, String signature) {
        NoticeGroup group = mustBeOurs(accountId, groupName, signature);
        UUID account = UUID.fromString(accountId);
        SignedIn person = database.sql("select workshop_id, role from account where id = ?")
                .param(account)
                .query((row, number) -> new SignedIn(
                        account,
                        UUID.fromString(row.getString("workshop_id")),
                        Role.valueOf(row.getString("role")),
                        true,
                        null))
                .optional()
                .orElseThrow(() -> Refusal.notFound("address"));
        current.actingAs(person, () -> {
            settings.stopMail(account, group);
            return group;
        });
    }
}
