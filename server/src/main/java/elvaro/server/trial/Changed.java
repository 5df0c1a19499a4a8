package elvaro.server.trial;

import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.forecast.Figures;
import elvaro.server.lot.Lot;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What a trial truly changed from the one it follows: arm by arm, from what was set up or done, never from what was said. */
@Component
class Changed {
    static final String AGAIN = "the same again";

    private final NextTrial nextTrial;
    private final ChamberService chambers;

    Changed(NextTrial nextTrial, ChamberService chambers) {
        this.nextTrial = nextTrial;
        this.chambers = chambers;
    }

    /** In a line; {@link #AGAIN} where nothing was. Arms are known by their names. */
    String words(TrialWithPieces before, TrialWithPieces after, Map<UUID, SetUp> setUps) {
        List<String> found = new ArrayList<>();
        lot(before, after).ifPresent(found::add);
        for (TrialArm arm : after.arms()) {
            Optional<TrialArm> was = named(before, arm.name());
            if (was.isEmpty()) {
                found.add("%s is new".formatted(arm.name()));
            } else {
                String own = String.join(", ", arm(setUps.get(was.get().id()), setUps.get(arm.id())));
                if (!own.isEmpty()) {
                    found.add("%s: %s".formatted(arm.name(), own));
                }
            }
        }
        before.arms().stream()
                .filter(arm -> named(after, arm.name()).isEmpty())
                .forEach(arm -> found.add("%s is left out".formatted(arm.name())));
        return found.isEmpty() ? AGAIN : String.join("; ", found);
    }

    private static Optional<TrialArm> named(TrialWithPieces trial, String name) {
        return trial.arms().stream()
                .filter(arm -> arm.name().equalsIgnoreCase(name))
                .findFirst();
    }

    private static Optional<String> lot(TrialWithPieces before, TrialWithPieces after) {
        String was = meat(before);
        String is = meat(after);
        return was.isEmpty() || is.isEmpty() || was.equals(is)
                ? Optional.empty()
                : Optional.of("%s instead of %s".formatted(is, was));
    }

    private static String meat(TrialWithPieces trial) {
        return trial.all()
                .map(Figures::piece)
                .map(piece -> {
                    Lot lot = piece.lot();
                    return lot.grade().isEmpty()
                            ? piece.cut().name()
                            : "%s, %s".formatted(piece.cut().name(), lot.grade());
                })
                .distinct()
                .sorted()
                .collect(Collectors.joining(" and "));
    }

    private List<String> arm(@Nullable SetUp was, @Nullable SetUp is) {
        if (was == null || is == null) {
            return List.of();
        }
        List<String> found = new ArrayList<>();
        if (!Objects.equals(was.targetDays(), is.targetDays())) {
            found.add("%s instead of %s".formatted(days(is), days(was)));
        }
        if (was.method() != is.method() && was.method() != null && is.method() != null) {
            found.add("%s instead of %s"
                    .formatted(is.method().label(), was.method().label()));
        }
        if (!Objects.equals(was.chamberId(), is.chamberId())) {
            found.add("%s instead of %s".formatted(chamber(is), chamber(was)));
        }
        List<String> before = nextTrial.words(was);
        List<String> after = nextTrial.words(is);
        List<String> gone =
                before.stream().filter(each -> !after.contains(each)).toList();
        List<String> come =
                after.stream().filter(each -> !before.contains(each)).toList();
        if (!gone.isEmpty() || !come.isEmpty()) {
            found.add(Stream.of(
                            come.isEmpty() ? "plain" : String.join(" and ", come),
                            gone.isEmpty() ? "plain" : String.join(" and ", gone))
                    .collect(Collectors.joining(" instead of ")));
        }
        return found;
    }

    private static String days(SetUp setUp) {
        return setUp.targetDays() == null ? "fresh" : "%d days".formatted(setUp.targetDays());
    }

    private String chamber(SetUp setUp) {
        return Optional.ofNullable(setUp.chamberId())
                .flatMap(chambers::find)
                .map(Chamber::name)
                .orElse("no chamber");
    }
}
