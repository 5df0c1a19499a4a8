package elvaro.core.inspection;

import elvaro.core.drying.Method;

/**
 * What was looked at.
 *
 * @param method how it is aged
 * @param day days hung when it was looked at, 0 or more
 */
public record Circumstances(Method method, double day) {
    boolean inTheAir() {
        return method == Method.OPEN_AIR || method == Method.SALT_TRAY;
    }

    boolean wrapped() {
        return method == Method.MEMBRANE || method == Method.VACUUM;
    }
}
