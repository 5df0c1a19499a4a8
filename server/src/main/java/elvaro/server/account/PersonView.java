package elvaro.server.account;

import elvaro.server.shared.Role;
import java.util.UUID;

/** A person as the owner sees them. */
public record PersonView(UUID id, int version, String signInName, String name, Role role, boolean active) {}
