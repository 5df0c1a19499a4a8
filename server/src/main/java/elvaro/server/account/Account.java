package elvaro.server.account;

import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Inspected;
import elvaro.server.shared.InspectedRow;
import elvaro.server.shared.Role;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;
import org.jspecify.annotations.NullUnmarked;

/** A person of the workshop. */
@Entity
@Table(name = "account")
@Audited
@NullUnmarked
public class Account extends EditedRow implements InspectedRow {
    private String signInName;

    @Inspected("Name")
    private String name;

    @Inspected("Role")
    @Enumerated(EnumType.STRING)
    private Role role;

    @NotAudited
    private String passwordHash;

    @Inspected("May sign in")
    private boolean active;

    @Enumerated(EnumType.STRING)
    private Preferences.WeightUnit weightUnit;

    @Enumerated(EnumType.STRING)
    private Preferences.TemperatureUnit temperatureUnit;

    @Enumerated(EnumType.STRING)
    private Preferences.LengthUnit lengthUnit;

    @Enumerated(EnumType.STRING)
    private Preferences.Theme theme;

    @Enumerated(EnumType.STRING)
    private Preferences.Figures figures;

    protected Account() {}

    Account(UUID id, String signInName, String name, Role role, String passwordHash) {
        super(id);
        this.signInName = signInName;
        this.name = name.strip();
        this.role = role;
        this.passwordHash = passwordHash;
        this.active = true;
        prefer(Preferences.STARTING);
    }

    void prefer(Preferences preferences) {
        weightUnit = preferences.weightUnit();
        temperatureUnit = preferences.temperatureUnit();
        lengthUnit = preferences.lengthUnit();
        theme = preferences.theme();
        figures = preferences.figures();
    }

    void change(String newName, Role newRole, boolean newActive) {
        name = newName.strip();
        role = newRole;
        active = newActive;
    }

    @Override
    public String inspectedName() {
        return name;
    }

    @Override
    public boolean isToldWhenAdded() {
        return true;
    }

    void setPasswordHash(String hash) {
        passwordHash = hash;
    }

    Preferences preferences() {
        return new Preferences(weightUnit, temperatureUnit, lengthUnit, theme, figures);
    }

    PersonView view() {
        return new PersonView(id(), version(), signInName, name, role, active);
    }

    public String name() {
        return name;
    }

    Role role() {
        return role;
    }

    boolean active() {
        return active;
    }

    String signInName() {
        return signInName;
    }

    String passwordHash() {
        return passwordHash;
    }
}
