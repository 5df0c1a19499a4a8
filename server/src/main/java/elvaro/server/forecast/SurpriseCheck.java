package elvaro.server.forecast;

import elvaro.core.forecast.Forecast;
import elvaro.core.forecast.Observed;
import elvaro.core.forecast.Surprise;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.PieceLog;
import elvaro.core.ledger.PieceLog.NetWeight;
import elvaro.core.question.Question;
import elvaro.server.piece.Piece;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import java.time.Instant;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Asks about a weighing that the forecast, made from all the others, did not expect. */
@Component
public class SurpriseCheck {
    private final Forecasts forecasts;
    private final WorkshopService workshops;

    SurpriseCheck(Forecasts forecasts, WorkshopService workshops) {
        this.forecasts = forecasts;
        this.workshops = workshops;
    }

    /**
     * @param log as it stands without the weighing
     * @param weighing of the piece, with whatever coat is on it
     */
    public Optional<Question> at(Piece piece, PieceLog log, LogFact weighing) {
        if (piece.hungOn().isEmpty() || weighing.estimated()) {
            return Optional.empty(); // What never hung is not foretold, and an estimate surprises nobody.
        }
        HouseClock house = workshops.mine().clock();
        Instant hungAt = piece.hungAt(house).orElseThrow();
        double day = Math.max(0, Forecasts.dayOf(weighing.at(), hungAt));
        int green = piece.greenGrams();
        // A slice weighed right after says what the piece weighed when it was taken.
        PieceLog with = PieceLog.of(
                green,
                Stream.concat(log.standing().stream(), Stream.of(weighing)).toList());
        double lost = with.lostBy(new NetWeight(weighing.id(), weighing.at(), weighing.grams() - log.coatOn()));
        Forecast forecast = forecasts.forecaster().without(piece, log);
        return Surprise.question(forecast, new Observed(day, lost), green, with.left());
    }
}
