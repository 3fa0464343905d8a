package vanemend.app.web;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpSession;
import java.security.Principal;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.bench.Bell;
import vanemend.app.device.Device;
import vanemend.app.device.Devices;
import vanemend.app.device.Logging;
import vanemend.app.device.StandIn;
import vanemend.app.problem.Refused;
import vanemend.app.store.Repairs;
import vanemend.app.web.Views.DeviceView;
import vanemend.core.trade.Check;

/** Devices at the bench: what they show, and how the stand-ins are driven. */
@RestController
@RequestMapping("/api")
class DeviceController {
    private final Devices devices;
    private final Logging logging;
    private final Repairs repairs;
    private final Bell bell;
    private final People people;
    private final Clock clock;

    DeviceController(Devices devices, Logging logging, Repairs repairs, Bell bell, People people, Clock clock) {
        this.devices = devices;
        this.logging = logging;
        this.repairs = repairs;
        this.bell = bell;
        this.people = people;
        this.clock = clock;
    }

    /** Where a knob should stand. */
    record KnobDraft(Double value) {}

    /** What should be wrong. */
    record FaultDraft(StandIn.Fault fault) {}

    /** The repair to log to. */
    record LogDraft(Long repair) {}

    @GetMapping("/devices")
    List<DeviceView> all() {
        return Arrays.stream(Device.Kind.values()).map(this::view).toList();
    }

    @Hidden
    @GetMapping(path = "/devices/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(HttpSession session) {
        return devices.listen(session.getId());
    }

    @Needs(Right.DEVICE)
    @PutMapping("/devices/{kind}/knobs/{knob}")
    List<DeviceView> turn(@PathVariable Device.Kind kind, @PathVariable String knob, @RequestBody KnobDraft draft) {
        StandIn s = devices.standIn(kind);
        StandIn.Knob k =
                s.knobs().stream().filter(x -> x.id().equals(knob)).findFirst().orElseThrow(() -> missing(kind, knob));
        Check check = new Check();
        double value = check.range(knob, k.label(), draft.value(), k.min(), k.max(), k.unit());
        Refused.unlessClean(kind.word(), check);
        s.turn(knob, value, clock.instant());
        return changed();
    }

    @Needs(Right.DEVICE)
    @PostMapping("/devices/{kind}/presses/{press}")
    List<DeviceView> press(@PathVariable Device.Kind kind, @PathVariable String press) {
        if (!devices.standIn(kind).push(press, clock.instant())) {
            throw missing(kind, press);
        }
        return changed();
    }

    /** Counts from what it shows now on: a real device and a stand-in alike. */
    @Needs(Right.DEVICE)
    @PostMapping("/devices/{kind}/nought")
    List<DeviceView> nought(@PathVariable Device.Kind kind) {
        if (!devices.of(kind).nought(clock.instant())) {
            throw new Refused(
                    HttpStatus.CONFLICT, kind.word(), kind.word() + " does not let itself be set to nought from here.");
        }
        return changed();
    }

    @Needs(Right.DEVICE_FAULT)
    @PutMapping("/devices/{kind}/fault")
    List<DeviceView> fault(@PathVariable Device.Kind kind, @RequestBody FaultDraft draft) {
        devices.standIn(kind).fail(Optional.ofNullable(draft.fault()).orElse(StandIn.Fault.NONE));
        return changed();
    }

    @Needs(Right.DEVICE)
    @PutMapping("/devices/{kind}/log")
    List<DeviceView> log(@PathVariable Device.Kind kind, @RequestBody LogDraft draft, Principal me) {
        if (draft.repair() == null) {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, kind.word(), "Which repair is it on? None was given.");
        }
        logging.begin(kind, draft.repair(), people.of(me));
        return changed();
    }

    @Needs(Right.DEVICE)
    @DeleteMapping("/devices/{kind}/log")
    List<DeviceView> noLog(@PathVariable Device.Kind kind) {
        logging.end(kind);
        return changed();
    }

    private List<DeviceView> changed() {
        bell.ring();
        return all();
    }

    private DeviceView view(Device.Kind kind) {
        Device d = devices.of(kind);
        Optional<StandIn> standIn = d instanceof StandIn s ? Optional.of(s) : Optional.empty();
        Optional<Long> repair = logging.repairOf(kind);
        return new DeviceView(
                kind,
                d.name(),
                devices.look(kind),
                standIn.map(StandIn::knobs).orElse(List.of()),
                standIn.map(StandIn::presses).orElse(List.of()),
                standIn.map(StandIn::fault),
                logging.logs(kind),
                repair,
                repair.flatMap(repairs::find).map(r -> r.draft().part().name()));
    }

    private static Refused missing(Device.Kind kind, String what) {
        return new Refused(HttpStatus.NOT_FOUND, kind.word(), "It has no " + what + ".");
    }
}
