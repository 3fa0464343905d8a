package vanemend.core.method;

import java.util.List;
import vanemend.core.cure.CureLaw;
import vanemend.core.cure.DryingRoute;
import vanemend.core.mix.Pour;

/**
 * One mix with its clock.
 *
 * @param id name that steps refer to
 * @param title as said
 * @param pour how much
 * @param law how it cures
 * @param labelWorkMin work time on the label, min at 21 °C
 * @param routes ways to dry, air first
 * @param route the one that is planned
 * @param doseSaid what the planned dose means; empty when right
 */
public record MixPlan(
        String id,
        String title,
        Pour pour,
        CureLaw law,
        double labelWorkMin,
        List<DryingRoute> routes,
        DryingRoute route,
        String doseSaid) {}
