package elvaro.server.lot;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.cut.ShapeClass;
import elvaro.core.cut.Species;
import elvaro.core.yield.Section;
import elvaro.server.shared.CautionView;
import elvaro.server.shared.Refusal;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The catalogue of cuts, and the suppliers bought from before. */
@RestController
class CutController {
    private final LotService lots;

    CutController(LotService lots) {
        this.lots = lots;
    }

    /**
     * @param imps IMPS item number, absent where there is none
     * @param usuallyOnTheBone whether the cut is one that has bones in it
     * @param steaksOnBone whether its steaks are usually sawn through the bone
     * @param boneShare of its weight, with them in it
     */
    record CutView(
            String code,
            Species species,
            String speciesLabel,
            String name,
            String otherNames,
            @Nullable String imps,
            ShapeClass shape,
            boolean usuallyOnTheBone,
            boolean steaksOnBone,
            double boneShare,
            List<CautionView> cautions) {
        static CutView of(Cut cut) {
            return new CutView(
                    cut.code(),
                    cut.species(),
                    cut.species().label(),
                    cut.name(),
                    cut.otherNames(),
                    cut.imps().orElse(null),
                    cut.shape(),
                    cut.boneShare() > 0,
                    cut.steaksOnBone(),
                    cut.boneShare(),
                    CautionView.of(cut.species().cautions()));
        }
    }

    @GetMapping("/api/cuts")
    List<CutView> cuts() {
        return CutCatalogue.all().stream().map(CutView::of).toList();
    }

    /** A cut as it would look cut through on the day it came. */
    @GetMapping("/api/cuts/section")
    Section section(
            @RequestParam String code,
            @RequestParam @Min(1) @Max(1_000_000) int grams,
            @RequestParam @Min(0) @Max(80) int fatCoverMm,
            @RequestParam boolean boneIn) {
        Cut cut = CutCatalogue.find(code).orElseThrow(() -> Refusal.notFound("cut"));
        return Section.asItCame(cut, grams, fatCoverMm, boneIn);
    }

    @GetMapping("/api/suppliers")
    List<String> suppliers() {
        return lots.suppliers();
    }
}
