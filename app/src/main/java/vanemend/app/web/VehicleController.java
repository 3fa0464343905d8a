package vanemend.app.web;

import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.problem.Refused;
import vanemend.app.store.Repairs;
import vanemend.app.web.Views.PastView;
import vanemend.app.web.Views.VehicleView;
import vanemend.core.damage.Damage;
import vanemend.core.part.PartDraft;

/** Vehicles that were here and what was done on them, the last first: a vehicle that comes back need not be typed again. */
@RestController
@RequestMapping("/api/vehicles")
class VehicleController {
    private static final int MOST_VEHICLES = 12;
    private static final int MOST_REPAIRS = 6;
    private static final int LONGEST = 80;

    private final Repairs repairs;

    VehicleController(Repairs repairs) {
        this.repairs = repairs;
    }

    @GetMapping
    List<VehicleView> find(@RequestParam(defaultValue = "") String find) {
        if (find.length() > LONGEST) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Vehicle",
                    "What is looked for has " + find.length() + " characters; at most " + LONGEST + ".");
        }
        return repairs.vehicles(find.strip(), MOST_VEHICLES).stream()
                .map(v -> new VehicleView(
                        v,
                        repairs.ofVehicle(v, MOST_REPAIRS).stream()
                                .filter(Repairs.Stored::readable)
                                .map(VehicleController::past)
                                .toList()))
                .filter(v -> !v.repairs().isEmpty())
                .toList();
    }

    private static PastView past(Repairs.Stored r) {
        Optional<PartDraft> part = Optional.ofNullable(r.draft().part());
        return new PastView(
                r.id(),
                Lines.named(part.map(PartDraft::name).orElse("")),
                r.draft().damages().stream()
                        .map(d -> Optional.ofNullable(d.kind())
                                .orElse(Damage.Kind.DENT)
                                .word())
                        .distinct()
                        .toList(),
                !r.closed(),
                r.changedAt(),
                part,
                r.draft().damages());
    }
}
