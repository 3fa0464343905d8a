package vanemend.core.method.clear;

import java.util.List;
import vanemend.core.damage.PaintRun;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Grown;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.mix.Again;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Portion;
import vanemend.core.sanding.FilmBudget;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.Leg;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.sanding.Tool;
import vanemend.core.section.Cut;
import vanemend.core.section.Section;
import vanemend.core.section.Taper;
import vanemend.core.trade.Text;
import vanemend.core.verdict.Limits;

/** Run in clear coat: shield, ladder to 3000, film budget. */
final class ClearRunLayout extends Layout {
    private static final double UM = 1e-3;
    private static final int LAST = 3000;

    private final PaintRun run;

    ClearRunLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.run = job.all(PaintRun.class).stream()
                .max(java.util.Comparator.comparingDouble(PaintRun::peakUm))
                .orElseThrow();
    }

    /** How high the run stands over its surroundings, µm. */
    private double heightUm() {
        return Math.max(0, run.peakUm() - run.totalUm());
    }

    private int firstGrade() {
        return heightUm() >= value("clear.severe") ? 320 : heightUm() >= value("clear.severe") / 2 ? 400 : 600;
    }

    @Override
    public Laid laid() {
        Footprint f = Grown.on(part(), job.outline())
                .out(Zone.Kind.SHIELD, value("clear.shield-past"))
                .fine(Zone.Kind.LEVEL, value("clear.level-past"))
                .out(Zone.Kind.CLEAN, value("clear.level-past") + value("dent.clean-past"))
                .footprint();
        boolean machine = job.house().is("run-in-clear", "machine");
        double stock = heightUm() * UM * f.areaMm2(Zone.Kind.DAMAGE) / 2
                + value("clear.shield-height") * f.areaMm2(Zone.Kind.SHIELD) / 2;
        Leg down = new Leg(
                "cut",
                "Run and clear",
                firstGrade(),
                LAST,
                value("clear.ratio"),
                stock,
                value("clear.rate"),
                value("clear.scratch-share"),
                Zone.Kind.SHIELD,
                Zone.Kind.LEVEL,
                Zone.Kind.LEVEL,
                machine ? Tool.DA_SOFT_FACE : Tool.HAND_BLOCK,
                machine ? "flat, slow, off the edges" : "block flat, water with a drop of soap, one direction a grade",
                "last grade's lines gone",
                true,
                Leg.Grades.EVERY);
        Ladder ladder = byHand(SurfaceLadder.of(
                f, job.stack().papers(), List.of(down), job.house().label("run-in-clear")));
        double least = Limits.rule("film-run").from().orElseThrow();
        FilmBudget budget = FilmBudget.of(run.soundUm(), least, ladder);
        if (blockers.isEmpty()) {
            ladderHolds(ladder);
            if (!budget.holds()) {
                blockers.add("Film budget: " + budget.said());
            }
            double tight = value("clear.shield-height");
            FillVolume volume = FillVolume.of(
                    0, f.areaMm2(Zone.Kind.DAMAGE), f.areaMm2(Zone.Kind.SHIELD), tight, 0, 0, value("mix.board-loss"));
            // A shield once more is the whole shield: there is no hollow beneath it.
            Again again = new Again(volume.totalMl(), 0, 0, Double.MAX_VALUE);
            amounts.tin("shield", "Shield putty", need(Role.SHIELD), volume, tight, f.zone(Zone.Kind.SHIELD), again);
            amounts.coats("clean", "Cleaner", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.CLEAN, f, 2, "coat.wipe");
        }
        return laid(
                        "clear coat, " + Text.of(Math.round(run.soundUm()), "µm"),
                        f,
                        section(f),
                        ladder,
                        () -> ClearRun.lay(kit(f, ladder), budget))
                .within(budget);
    }

    private Section section(Footprint f) {
        double[] ends = ends(f, Zone.Kind.LEVEL);
        double clear = run.soundUm() * UM;
        double under = Math.max(20, run.totalUm() - run.soundUm()) * UM;
        double high = heightUm() * UM;
        double reach = Math.min(run.place().lengthMm(), run.place().widthMm()) / 2;
        Taper on = new Taper(f.zone(Zone.Kind.DAMAGE).shape(), reach, false, cutY());
        Taper shield = new Taper(f.zone(Zone.Kind.SHIELD).shape(), value("clear.shield-past"), false, cutY());
        return new Cut(cutY(), ends[0], ends[1], x -> -clear - under - 0.1)
                .layer("part", "Part", "part", x -> -clear - under)
                .layer("coats", "Primer and base", "paint", x -> -clear)
                .layer("clear", "Clear, to stay", "resin", x -> 0)
                .layer("run", "Run, to come off", "coat", x -> high * (1 - (1 - on.at(x)) * (1 - on.at(x))))
                .layer(
                        "shield",
                        "Putty shield",
                        "finish",
                        x -> Math.min(value("clear.shield-height"), high * 1.2) * shield.at(x))
                .section();
    }
}
