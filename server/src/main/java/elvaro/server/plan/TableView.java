package elvaro.server.plan;

import elvaro.server.forecast.DayAhead;
import elvaro.server.plan.LoadService.ChamberLoad;
import java.time.LocalDate;
import java.util.List;

/**
 * What to buy for a table.
 *
 * @param portionsEach steaks one piece gives, four times in five
 * @param hangBy the last day to buy it and hang it
 * @param expected a piece on the day it is pulled
 * @param costMinor all of it, bought, hung and cut, less what the by-products fetch
 * @param costPerPortionMinor of the portions asked for
 * @param rooms where it finds room
 */
public record TableView(
        int pieces,
        int greenGramsEach,
        int greenGrams,
        int portionsEach,
        LocalDate hangBy,
        DayAhead expected,
        double costMinor,
        double costPerPortionMinor,
        List<ChamberLoad> rooms) {}
