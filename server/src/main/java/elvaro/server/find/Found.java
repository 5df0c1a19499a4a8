package elvaro.server.find;

/**
 * Something that was found.
 *
 * @param name what it is called
 * @param more what tells it from others of the kind
 * @param at where it is opened
 */
record Found(Kind kind, String name, String more, String at) {
    enum Kind {
        PIECE,
        LOT,
        ANIMAL,
        TRIAL,
        TASTING,
        PACK,
        NOTE
    }
}
