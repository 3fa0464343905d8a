package vanemend.app.web;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.device.Device;
import vanemend.app.web.Views.CatalogueView;
import vanemend.app.web.Views.FamilyView;
import vanemend.app.web.Views.IdentifyView;
import vanemend.app.web.Views.KindView;
import vanemend.app.web.Views.MeasuredView;
import vanemend.app.web.Views.QuantityView;
import vanemend.app.web.Views.RoleView;
import vanemend.app.web.Views.StampView;
import vanemend.app.web.Views.StateView;
import vanemend.app.web.Views.SurfaceView;
import vanemend.app.web.Views.ToolView;
import vanemend.app.web.Views.TypicalView;
import vanemend.core.damage.Damage;
import vanemend.core.material.MaterialClass;
import vanemend.core.part.Belief;
import vanemend.core.part.BenchTest;
import vanemend.core.part.Family;
import vanemend.core.part.Glass;
import vanemend.core.part.MadeOf;
import vanemend.core.part.MarkReader;
import vanemend.core.part.Outline;
import vanemend.core.part.Plastic;
import vanemend.core.part.SubstrateDraft;
import vanemend.core.part.SurfaceState;
import vanemend.core.part.TypicalPart;
import vanemend.core.sanding.Tool;
import vanemend.core.trade.Check;
import vanemend.core.trade.Measured;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.TradeBook;
import vanemend.core.trade.TradeTerm;
import vanemend.core.verdict.Identity;

/** What a part is made of: marks read and bench tests weighed while they are entered. */
@RestController
@RequestMapping("/api")
class IdentifyController {
    /** A mark as typed, or the bench tests done so far. */
    record IdentifyDraft(String mark, List<SubstrateDraft.TestDraft> tests) {}

    @Needs(Right.PLAN)
    @PostMapping("/identify")
    IdentifyView identify(@RequestBody IdentifyDraft draft) {
        if (draft.mark() != null && !draft.mark().isBlank()) {
            MarkReader.MarkReading reading = MarkReader.read(draft.mark());
            return new IdentifyView(
                    Optional.of(reading),
                    Optional.empty(),
                    reading.mark().map(m -> Identity.of(new Plastic(Optional.of(m), Optional.empty(), 1))),
                    List.of());
        }
        Check check = new Check();
        List<Belief.Done> done = SubstrateDraft.done(draft.tests() == null ? List.of() : draft.tests(), "tests", check);
        Belief belief = Belief.after(done);
        return new IdentifyView(
                Optional.empty(),
                Optional.of(belief),
                Optional.of(Identity.of(new Plastic(Optional.empty(), Optional.of(belief), 1))),
                check.problems());
    }

    @GetMapping("/catalogue")
    CatalogueView catalogue() {
        return new CatalogueView(
                Outline.all(),
                TypicalPart.all().stream()
                        .map(t -> new TypicalView(t.id(), t.word(), t.draft()))
                        .toList(),
                BenchTest.all(),
                BenchTest.shown(),
                Arrays.stream(Damage.Kind.values())
                        .map(k -> new KindView(k, k.word(), materials(k::on)))
                        .toList(),
                Arrays.stream(SurfaceState.values())
                        .map(s -> new StateView(s, s.word(), s.asks(), materials(s::on)))
                        .toList(),
                Arrays.stream(Glass.Stamp.values())
                        .map(s -> new StampView(s, s.word()))
                        .toList(),
                Arrays.stream(Family.values())
                        .map(f -> new FamilyView(f, f.meaning()))
                        .toList(),
                Arrays.stream(Tool.values()).map(t -> new ToolView(t, t.word())).toList(),
                Arrays.stream(MaterialClass.Role.values())
                        .map(r -> new RoleView(r, r.word()))
                        .toList(),
                Arrays.stream(Quantity.values())
                        .map(q -> new QuantityView(q, q.word(), q.sort(), q.unit(), q.min(), q.max(), q.measured()))
                        .toList(),
                Arrays.stream(Measured.values())
                        .map(m -> new MeasuredView(m, m.word(), m.unit(), m.digits(), Device.Kind.of(m)))
                        .toList(),
                Arrays.stream(MaterialClass.Surface.values())
                        .map(s -> new SurfaceView(s, s.word()))
                        .toList(),
                TradeBook.shipped().signs(),
                TradeTerm.all());
    }

    private static List<MadeOf> materials(java.util.function.Predicate<MadeOf> on) {
        List<MadeOf> out = new ArrayList<>();
        for (MadeOf m : MadeOf.values()) {
            if (on.test(m)) {
                out.add(m);
            }
        }
        return out;
    }
}
