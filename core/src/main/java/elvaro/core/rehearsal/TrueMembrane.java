package elvaro.core.rehearsal;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;

/** The membrane about a piece: how much of it touches, and whether it is shut. Estimates (EST). */
final class TrueMembrane {
    private static final double AS_SEALED = 0.05;

    private final RehearsalPlan plan;
    private final Luck luck;
    private boolean on;
    private double lifted;
    private double tightSince;

    TrueMembrane(RehearsalPlan plan, Luck luck) {
        this.plan = plan;
        this.luck = luck;
        on = plan.isWrapped();
        lifted = plan.method() == Method.MEMBRANE ? AS_SEALED : 0;
    }

    /** It clings again, or is a new one; where there is none there is nothing to seal. */
    void seal(double day) {
        if (on) {
            lifted = AS_SEALED;
            tightSince = day;
        }
    }

    void comeOff() {
        on = false;
        lifted = 0;
    }

    /** The film lifts a little by itself, and a lot where it is to. */
    void loosen(double day, double days) {
        if (!on || plan.method() != Method.MEMBRANE) {
            return;
        }
        boolean lets = has(Mishap.CONTACT_LIFTS, day);
        boolean open = isOpen(day);
        double most = lets ? 0.55 : open ? 0.40 : 0.12;
        double cloth = plan.coating() == Coating.CLOTH ? 0.35 : 0;
        lifted += days * (lets || open || cloth > 0 ? 0.12 : 0.004) * Math.max(0, Math.max(most, cloth) - lifted);
    }

    private boolean has(Mishap mishap, double day) {
        return luck.hasBegun(mishap, day) && luck.begins(mishap) >= tightSince;
    }

    boolean isOn() {
        return on;
    }

    /** Whether its seal lets air in. */
    boolean isOpen(double day) {
        return on && has(Mishap.SEAL_FAILS, day);
    }

    /** Share of it that does not touch, 0 where there is none. */
    double lifted() {
        return lifted;
    }

    /** Pa·d·m²/kg that it lays between meat and air. */
    double between(double day) {
        return !on ? 0 : isOpen(day) ? 90 : 480 / Math.max(0.2, 1 - lifted);
    }
}
