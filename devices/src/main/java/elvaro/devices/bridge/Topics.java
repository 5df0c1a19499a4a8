package elvaro.devices.bridge;

/** Topics of messages and patterns of them: MQTT 5.0, section 4.7. */
final class Topics {
    private Topics() {}

    /** @param pattern a topic in which {@code +} stands for one level and {@code #} for all that follow */
    static boolean matches(String pattern, String topic) {
        String[] wanted = pattern.split("/", -1);
        String[] levels = topic.split("/", -1);
        for (int level = 0; level < wanted.length; level++) {
            if (wanted[level].equals("#")) {
                return true;
            }
            if (level >= levels.length || !wanted[level].equals("+") && !wanted[level].equals(levels[level])) {
                return false;
            }
        }
        return wanted.length == levels.length;
    }
}
