package elvaro.core.trial;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * Which part of a lot goes into which arm, by lot. A loin is not the same from end to end, so the parts lie side by side in
 * blocks, each with every arm once; within a block chance decides. Randomised blocks: R. A. Fisher, The Design of
 * Experiments, 1935. The shuffle is {@link Collections#shuffle} with {@link Random}, whose sequences Java fixes.
 */
public final class Draw {
    private Draw() {}

    /**
     * @param arms 2 or more
     * @param parts of the lot, in the order they lie, as many as arms at least
     * @param seed stored, so that the draw can be shown again
     * @return the arm of each part, from 0; of no arm more than one part beyond any other
     */
    public static List<Integer> of(int arms, int parts, long seed) {
        if (arms < 2 || parts < arms) {
            throw new IllegalArgumentException("A draw needs two arms and a part for each.");
        }
        Random random = new Random(seed);
        List<Integer> drawn = new ArrayList<>();
        while (drawn.size() < parts) {
            List<Integer> block =
                    new ArrayList<>(IntStream.range(0, arms).boxed().toList());
            Collections.shuffle(block, random);
            drawn.addAll(block.subList(0, Math.min(arms, parts - drawn.size())));
        }
        return List.copyOf(drawn);
    }

    /** The block a part lies in, from 0. */
    public static int block(int arms, int part) {
        return part / arms;
    }
}
