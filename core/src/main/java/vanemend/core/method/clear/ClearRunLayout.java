package vanemend.core.method.clear;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
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
import vanemend.core.sanding.Rung;
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
    private final double heightUm;
    private final Footprint f;
    private final Ladder ladder;
    private final FilmBudget budget;

    /** Worked for all runs as one: from the thinnest clear beside any of them, as high as the highest stands. */
    ClearRunLayout(Job job, List<String> blockers) {
        super(job, blockers);
        List<PaintRun> runs = job.all(PaintRun.class);
        this.run =
                runs.stream().min(Comparator.comparingDouble(PaintRun::soundUm)).orElseThrow();
        this.heightUm = runs.stream().mapToDouble(PaintRun::heightUm).max().orElseThrow();
        this.f = Grown.on(part(), job.outline())
                .out(Zone.Kind.SHIELD, value("clear.shield-past"))
                .fine(Zone.Kind.LEVEL, value("clear.level-past"))
                .out(Zone.Kind.CLEAN, value("clear.level-past") + value("dent.clean-past"))
                .footprint();
        this.ladder = byHand(papers());
        this.budget =
                FilmBudget.of(run, heightUm, Limits.rule("film-run").from().orElseThrow(), ladder);
    }

    private int firstGrade() {
        return heightUm >= value("clear.severe") ? 320 : heightUm >= value("clear.severe") / 2 ? 400 : 600;
    }

    /** The same sum for verdict, plan and run. */
    @Override
    public Optional<FilmBudget> film() {
        return Optional.of(budget);
    }

    /** Every grade, on what is hard until the run is level: a soft face follows it and never levels it. */
    private Ladder papers() {
        boolean machine = job.house().is("run-in-clear", "machine");
        double stock = heightUm * UM * f.areaMm2(Zone.Kind.DAMAGE) / 2
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
                machine ? Tool.DA_HARD_PAD : Tool.HAND_BLOCK,
                machine ? "flat, slow, off the edges" : "block flat, water with a drop of soap, one direction a grade",
                "last grade's lines gone",
                !machine,
                Leg.Grades.EVERY);
        Ladder all = SurfaceLadder.of(
                f, job.stack().papers(), List.of(down), job.house().label("run-in-clear"));
        // What levels the run stays on the shield: past it there is nothing to guard the clear.
        Ladder guarded = all.with(r -> FilmBudget.guarded(r) ? r.within(Zone.Kind.SHIELD) : r);
        double finest = all.rungs().stream().mapToDouble(Rung::grainUm).min().orElse(0);
        return machine
                ? guarded.with(r -> r.grainUm() > finest
                        ? r
                        : r.by(
                                Tool.AIR_DA_SOFT_FACE,
                                "flat, slow, off the edges; driven by air, a mains tool never with water",
                                "damp"))
                : guarded;
    }

    @Override
    public Laid laid() {
        if (blockers.isEmpty()) {
            ladderHolds(ladder);
            double tight = value("clear.shield-height");
            FillVolume volume = FillVolume.of(
                    0, f.areaMm2(Zone.Kind.DAMAGE), f.areaMm2(Zone.Kind.SHIELD), tight, 0, 0, value("mix.board-loss"));
            // A shield once more is the whole shield: there is no hollow beneath it.
            Again again = new Again(volume.totalMl(), 0, 0, 0, Double.MAX_VALUE);
            amounts.tin("shield", "Shield putty", need(Role.SHIELD), volume, tight, f.zone(Zone.Kind.SHIELD), again);
            amounts.coats("clean", "Cleaner", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.CLEAN, f, 2, "coat.wipe");
        }
        return laid(
                "clear coat, " + Text.of(Math.round(run.soundUm()), "µm"),
                f,
                () -> section(),
                ladder,
                () -> ClearRun.lay(kit(f, ladder), budget));
    }

    private Section section() {
        double[] ends = ends(f, Zone.Kind.LEVEL);
        double clear = run.soundUm() * UM;
        double under = run.underUm() * UM;
        double high = heightUm * UM;
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
