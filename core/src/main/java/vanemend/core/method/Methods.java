package vanemend.core.method;

import java.util.Arrays;
import java.util.List;
import vanemend.core.method.abs.AbsRebuild;
import vanemend.core.method.clear.ClearRun;
import vanemend.core.method.composite.CompositeTwoSided;
import vanemend.core.method.composite.GelcoatPage;
import vanemend.core.method.dent.DentFill;
import vanemend.core.method.glass.GlassChip;
import vanemend.core.method.hairline.HairlineSealant;
import vanemend.core.method.plastic.PlasticMethod;
import vanemend.core.method.plastic.TabPage;
import vanemend.core.method.rust.RustMesh;
import vanemend.core.method.rust.RustPitsFill;
import vanemend.core.method.seam.SeamPage;
import vanemend.core.method.trim.TrimFinish;
import vanemend.core.method.tyre.TyreInjury;
import vanemend.core.trade.MethodId;

/** The registry of methods: the one place outside a family's folder that names what is in it. */
public final class Methods {
    private Methods() {}

    /** The method called {@code id}. */
    public static Method of(MethodId id) {
        return switch (id) {
            case METAL_DENT -> DentFill.METHOD;
            case METAL_SEAM -> SeamPage.METHOD;
            case RUST_MESH -> RustMesh.METHOD;
            case RUST_PITS -> RustPitsFill.METHOD;
            case CLEAR_RUN -> ClearRun.METHOD;
            case COMPOSITE -> CompositeTwoSided.METHOD;
            case GELCOAT -> GelcoatPage.METHOD;
            case HAIRLINE -> HairlineSealant.METHOD;
            case PLASTIC_TWO_SIDED, PLASTIC_PATCH, PLASTIC_MESH, WELD_FINISH -> PlasticMethod.of(id);
            case PLASTIC_TAB -> TabPage.METHOD;
            case ABS_REBUILD -> AbsRebuild.METHOD;
            case TRIM -> TrimFinish.METHOD;
            case GLASS_CHIP -> GlassChip.METHOD;
            case TYRE_CROWN -> TyreInjury.METHOD;
        };
    }

    /** All of them. */
    public static List<Method> all() {
        return Arrays.stream(MethodId.values()).map(Methods::of).toList();
    }
}
