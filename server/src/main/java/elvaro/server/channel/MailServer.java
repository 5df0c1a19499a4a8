package elvaro.server.channel;

/**
 * Who takes the mail of a house and brings it on.
 *
 * @param user empty where it asks for none
 * @param from address the mail comes from
 */
public record MailServer(String host, int port, MailSecurity security, String user, String password, String from) {
    /** How the line to it is kept from others' eyes. */
    public enum MailSecurity {
        /** It begins in the open and must go over to TLS, or nothing is sent. */
        STARTTLS,
        /** TLS from the first word. */
        TLS,
        /** In the open; for one on the same machine or in the same house. */
        NONE
    }
}
