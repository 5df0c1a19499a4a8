package elvaro.server.hanging;

import elvaro.core.question.Question;
import elvaro.server.chamber.Chamber;
import elvaro.server.piece.Piece;
import java.util.List;

/** What pieces do to those that hang beside them. Known to what is above: what was put on a piece decides it. */
public interface Neighbours {
    /** What is to be asked before anything more is hung in a chamber. */
    List<Question> onHangingIn(Chamber chamber);

    /** What stood beside a piece in its chamber and scents it, one sentence each; none where nothing did. */
    List<String> beside(Piece piece);
}
