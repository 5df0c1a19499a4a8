package elvaro.core.logger;

/** In which order a logger writes year, month and day where its numbers alone could mean several. */
public enum DayOrder {
    YEAR_FIRST,
    DAY_FIRST,
    MONTH_FIRST
}
