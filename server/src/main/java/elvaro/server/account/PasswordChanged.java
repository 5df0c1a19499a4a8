package elvaro.server.account;

import java.util.UUID;

/** Told within the transaction in which somebody's password is changed: what was opened with the old one is to be closed. */
public record PasswordChanged(UUID accountId) {}
