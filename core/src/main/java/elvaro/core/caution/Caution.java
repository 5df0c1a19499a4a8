package elvaro.core.caution;

import static elvaro.core.working.Quantity.temperature;

/** Every caution there is, said where it matters and in the guide. None says that anything is safe. */
public enum Caution {
    HELD_COLD(
            Topic.COLD, "Meat is held at or below %s. Elvaro aims at %s.".formatted(temperature(5), temperature(0, 3))),
    WARM(Topic.COLD, "What arrives or hangs warmer needs a person to decide, and the decision is kept."),
    WORK_COLD(Topic.COLD, "Work cold and quickly: meat above %s is out of cold holding.".formatted(temperature(5))),
    HOUSEHOLD_REFRIGERATOR(
            Topic.REFRIGERATOR,
            "A household refrigerator that is opened all day is not a chamber. Nothing ages in open air beside uncovered"
                    + " food."),
    SINGLE_USE(Topic.MEMBRANE, "Membranes are single use. Rewrapping needs a new one."),
    CONTACT(Topic.MEMBRANE, "At least three quarters of the film must touch meat; seal two or three times."),
    TREATED_COLD(Topic.TREATMENTS, "All of it is done cold, at %s or below.".formatted(temperature(5))),
    GARLIC_IN_OIL(
            Topic.TREATMENTS,
            "Raw garlic or herbs in oil, without air, can grow botulism, which nobody sees or smells. Leave the oil out, or"
                    + " the wrap."),
    COLD_SMOKE(
            Topic.TREATMENTS,
            "Cold smoke comes in short bursts, the meat at %s or below, measured before each."
                    .formatted(temperature(4))),
    SPENT_LIQUID(
            Topic.TREATMENTS,
            "What lay in a marinade or soak is thrown away; nobody tastes or reuses the liquid. A spirit is kept from any"
                    + " flame."),
    NOBODY_TASTES(
            Topic.LOOKING,
            "What is seen and smelled is answered by rules of the trade, the gravest first. A part that must go is cut out"
                    + " and weighed; if it is through the piece, all of it goes. Nobody tastes to find out."),
    LEAST_CORES(
            Topic.COOKING,
            "Whole-muscle beef %s and three minutes’ rest; ground meat %s; poultry and wildfowl %s; fish %s."
                    .formatted(temperature(63), temperature(71), temperature(74), temperature(63))),
    INFORMED_CHOICE(
            Topic.COOKING,
            "Tasting below these is the panel’s informed choice; never for the pregnant, the very young or old, or the"
                    + " immunocompromised."),
    GROUND(
            Topic.COOKING,
            "Ground meat, and most of all with crust in it, is cooked through: a core of %s."
                    .formatted(temperature(71))),
    KNIFE_AND_SAW(
            Topic.BENCH,
            "A cut-resistant glove on the holding hand; saws and torches with both hands and a clear head. Glands and"
                    + " bloodshot meat are cut out, and knives changed."),
    HOT_FAT(Topic.BENCH, "Hot fat burns: dry pieces, low heat, never left alone, no water on a fire."),
    GLOVES(Topic.GAME, "Handle a dead animal with gloves."),
    WASTING(
            Topic.GAME,
            "Wasting disease: where it occurs, have the animal tested first and follow the wildlife agency. Inspect the"
                    + " lymph nodes; do not cut into brain and spine."),
    TRICHINELLA(
            Topic.GAME,
            "Bear and boar carry Trichinella, which freezing does not kill. Have it tested where the law says so, and cook"
                    + " it through."),
    SHOT(Topic.GAME, "Look for shot, lead and bloodshot meat round the wound, and cut them out wide."),
    WILDFOWL(
            Topic.GAME,
            "Birds are drawn before they are racked, and cooked to a core of %s.".formatted(temperature(74))),
    PARASITES(
            Topic.FISH,
            "Fish eaten raw was frozen at %s for 7 days or %s for 15 h against parasites; some large tuna are exempt."
                    .formatted(temperature(-20), temperature(-35))),
    HISTAMINE(
            Topic.FISH,
            "Histamine: keep it at or below %s without a break. Cooking does not destroy it."
                    .formatted(temperature(4))),
    PERMIT(Topic.SHOP, "Many places need a permit or a HACCP plan for dry ageing. Ask before the first sale."),
    OWN_PLAN(
            Topic.SHOP,
            "Elvaro has no rule of its own: how long a pack may be used is your written food-safety plan’s to say.");

    /** What every caution defers to. */
    public static final String LAW = "Local law and a licensed practitioner decide.";

    private final Topic topic;
    private final String sentence;

    Caution(Topic topic, String sentence) {
        this.topic = topic;
        this.sentence = sentence;
    }

    public Topic topic() {
        return topic;
    }

    public String sentence() {
        return sentence;
    }
}
