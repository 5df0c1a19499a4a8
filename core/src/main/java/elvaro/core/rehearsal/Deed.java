package elvaro.core.rehearsal;

/**
 * Something a person does to the piece or to the room.
 *
 * @param day days since the piece was hung, 0 or more
 * @param kind what is done
 */
public record Deed(double day, Kind kind) {
    public enum Kind {
        /** What lay below comes up. */
        TURNED,
        /** The membrane clings again, or is a new one. */
        RESEALED,
        /** The membrane comes off for good: it goes on in the air. */
        UNWRAPPED,
        /** Folds and cuts are trimmed even, spots of mould cut out. */
        TRIMMED,
        /** The door is shut, the fan runs, the machine is mended, the neighbour is moved. */
        SAW_TO_THE_ROOM
    }

    public Deed {
        if (!(day >= 0)) {
            throw new IllegalArgumentException("Nothing is done before the piece hangs");
        }
    }
}
