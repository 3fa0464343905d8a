package vanemend.app.web;

import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Account;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.bench.Bell;
import vanemend.app.problem.Refused;
import vanemend.app.store.Shelf;
import vanemend.app.store.Shop;
import vanemend.app.store.TriedAgain;
import vanemend.app.web.Views.ActView;
import vanemend.app.web.Views.ImportLine;
import vanemend.app.web.Views.ImportView;
import vanemend.app.web.Views.ShelfLine;
import vanemend.core.material.MaterialClass;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfFile;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.ShelfItemDraft;
import vanemend.core.part.Family;
import vanemend.core.trade.Check;

/** The shelf: what stands on it, what is done with it, in and out as a file. */
@RestController
@RequestMapping("/api/shelf")
@TriedAgain
class ShelfController {
    private final Shop shop;
    private final Shelf shelf;
    private final People people;
    private final Bell bell;
    private final Clock clock;
    private final TransactionTemplate once;

    ShelfController(Shop shop, Shelf shelf, People people, Bell bell, Clock clock, TransactionTemplate once) {
        this.shop = shop;
        this.shelf = shelf;
        this.people = people;
        this.bell = bell;
        this.clock = clock;
        this.once = once;
    }

    /** What is done with an item. */
    enum Act {
        RECEIVE,
        OPEN,
        USE,
        DISCARD
    }

    /**
     * An act as typed.
     *
     * @param quantity received or used, in the item's unit
     */
    record ActDraft(Act act, Double quantity, String said) {}

    /** A file as text, CSV or JSON. */
    record FileDraft(String text) {}

    @GetMapping
    List<ShelfLine> all() {
        LocalDate today = LocalDate.ofInstant(clock.instant(), shop.zone());
        Map<String, Integer> versions = shelf.versions();
        return shelf.all().stream()
                .map(i -> line(i, today, versions.getOrDefault(i.id(), 0)))
                .toList();
    }

    @Needs(Right.SHELF_LABEL)
    @PostMapping
    List<ShelfLine> add(@RequestBody ShelfItemDraft draft, Principal me) {
        ShelfItem item = checked(draft);
        if (shelf.knows(item.id())) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    "Shelf",
                    "Something with the id " + item.id() + " stands there already: give another.");
        }
        keep(item, "ADD", item.quantity(), "lot " + item.lot(), me);
        return all();
    }

    @Needs(Right.SHELF_LABEL)
    @PutMapping("/{id}")
    List<ShelfLine> edit(
            @PathVariable String id,
            @RequestHeader("If-Match") Optional<String> ifMatch,
            @RequestBody ShelfItemDraft draft,
            Principal me) {
        Account who = people.of(me);
        ShelfItem item = checked(draft);
        if (!item.id().equals(id)) {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, "Shelf", "The id of an item does not change.");
        }
        int version = Versions.of(ifMatch);
        once.executeWithoutResult(t -> {
            shelf.lock(id);
            ShelfItem was = known(id);
            int now = shelf.versions().getOrDefault(id, 0);
            if (now != version) {
                throw new Refused(
                        HttpStatus.PRECONDITION_FAILED,
                        "Changed meanwhile",
                        was.name()
                                + " was changed or used meanwhile. What you typed stands here: look at it again, then keep it.",
                        Map.of("version", now));
            }
            if (usedLonger(was, item)) {
                Right.SHELF_EXPIRY.demand(who);
            }
            shop.edit(item, "EDIT", item.quantity(), "label figures typed", who.id());
        });
        bell.ring();
        return all();
    }

    /** Whether {@code now} may be used on a day that {@code was} might not. */
    private static boolean usedLonger(ShelfItem was, ShelfItem now) {
        return was.expires().isPresent()
                && now.expires().map(e -> e.isAfter(was.expires().get())).orElse(true);
    }

    @Needs(Right.SHELF_USE)
    @PostMapping("/{id}/acts")
    List<ShelfLine> act(@PathVariable String id, @RequestBody ActDraft draft, Principal me) {
        Account who = people.of(me);
        if (draft.act() == Act.DISCARD) {
            Right.SHELF_DISCARD.demand(who);
        }
        once.executeWithoutResult(t -> {
            shelf.lock(id);
            act(known(id), draft, who.id());
        });
        bell.ring();
        return all();
    }

    private void act(ShelfItem item, ActDraft draft, String by) {
        Check check = new Check();
        Act act = check.choice("act", "What was done", draft.act(), Act.USE);
        double most = act == Act.RECEIVE ? 1_000_000 : item.quantity();
        double quantity = act == Act.RECEIVE || act == Act.USE
                ? check.range("quantity", "Quantity", draft.quantity(), 0.1, Math.max(0.1, most), item.unit())
                : 0;
        Refused.unlessClean("Shelf", check);
        String said = draft.said() == null ? "" : draft.said().strip();
        LocalDate today = LocalDate.ofInstant(clock.instant(), shop.zone());
        switch (act) {
            case RECEIVE ->
                shop.edit(with(item, item.quantity() + quantity, item.opened()), act.name(), quantity, said, by);
            case USE ->
                shop.edit(with(item, item.quantity() - quantity, item.opened()), act.name(), quantity, said, by);
            case OPEN -> shop.edit(with(item, item.quantity(), Optional.of(today)), act.name(), 0, said, by);
            case DISCARD -> shop.discard(item, said, by);
        }
    }

    @GetMapping("/{id}/acts")
    List<ActView> acts(@PathVariable String id) {
        return shelf.acts(id).stream()
                .map(a -> new ActView(a.act(), a.quantity(), a.said(), a.by(), a.at()))
                .toList();
    }

    @GetMapping(
            value = "/file",
            produces = {"text/csv", MediaType.APPLICATION_JSON_VALUE})
    ResponseEntity<String> file(@RequestParam(defaultValue = "csv") String format) {
        boolean json = format.equals("json");
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        "attachment; filename=\"shelf." + (json ? "json" : "csv") + "\"")
                .contentType(json ? MediaType.APPLICATION_JSON : MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .body(json ? ShelfFile.json(shelf.all()) : ShelfFile.csv(shelf.all()));
    }

    /** Says line by line what would be taken, changed or refused; keeps nothing. */
    @Needs(Right.SHELF_LABEL)
    @PostMapping("/file/preview")
    ImportView preview(@RequestBody FileDraft draft) {
        return view(ShelfFile.read(text(draft), shelf.all()), false);
    }

    /** Takes the lines that are good, all of them in one transaction, or nothing. */
    @Needs(Right.SHELF_LABEL)
    @PostMapping("/file")
    ImportView take(@RequestBody FileDraft draft, Principal me) {
        Account who = people.of(me);
        String by = who.id();
        List<ShelfFile.Line> lines = once.execute(t -> {
            List<ShelfItem> before = shelf.all();
            List<ShelfFile.Line> read = ShelfFile.read(text(draft), before);
            if (read.stream()
                    .flatMap(l -> l.item().stream())
                    .anyMatch(i -> before.stream().anyMatch(b -> b.id().equals(i.id()) && usedLonger(b, i)))) {
                Right.SHELF_EXPIRY.demand(who);
            }
            for (ShelfFile.Line l : read) {
                if (l.outcome() == ShelfFile.Outcome.TAKEN || l.outcome() == ShelfFile.Outcome.CHANGED) {
                    ShelfItem item = l.item().orElseThrow();
                    shop.edit(item, "IMPORT", item.quantity(), l.said(), by);
                }
            }
            return read;
        });
        bell.ring();
        return view(lines, true);
    }

    private static String text(FileDraft draft) {
        if (draft.text() == null) {
            throw new Refused(HttpStatus.BAD_REQUEST, "Shelf file", "No file came with the request.");
        }
        return draft.text();
    }

    private static ImportView view(List<ShelfFile.Line> lines, boolean kept) {
        return new ImportView(
                count(lines, ShelfFile.Outcome.TAKEN),
                count(lines, ShelfFile.Outcome.CHANGED),
                count(lines, ShelfFile.Outcome.SAME),
                count(lines, ShelfFile.Outcome.REFUSED),
                kept,
                lines.stream()
                        .map(l -> new ImportLine(l.line(), l.id(), l.outcome(), l.said()))
                        .toList());
    }

    private static int count(List<ShelfFile.Line> lines, ShelfFile.Outcome outcome) {
        return (int) lines.stream().filter(l -> l.outcome() == outcome).count();
    }

    private ShelfItem known(String id) {
        return shelf.find(id)
                .orElseThrow(() -> new Refused(HttpStatus.NOT_FOUND, "Shelf", "There is no " + id + " on the shelf."));
    }

    private ShelfItem checked(ShelfItemDraft draft) {
        Check check = new Check();
        Optional<ShelfItem> item = draft.check(check);
        Refused.unlessClean("Shelf", check);
        return item.orElseThrow();
    }

    private void keep(ShelfItem item, String act, double quantity, String said, Principal me) {
        once.executeWithoutResult(
                t -> shop.edit(item, act, quantity, said, people.of(me).id()));
        bell.ring();
    }

    private static ShelfItem with(ShelfItem i, double quantity, Optional<LocalDate> opened) {
        ShelfItemDraft d = ShelfItemDraft.of(i);
        return new ShelfItemDraft(
                        d.id(),
                        d.classId(),
                        d.name(),
                        d.lot(),
                        d.expires(),
                        Math.round(quantity * 10) / 10.0,
                        d.unit(),
                        d.workMin(),
                        d.sand(),
                        d.dosePercent(),
                        d.densityGPerMl(),
                        d.grading(),
                        d.grade(),
                        d.wet(),
                        opened.orElse(null),
                        d.packQuantity(),
                        d.flashMin(),
                        d.ratioByVolume(),
                        d.ratioByWeight(),
                        d.stemMm(),
                        d.capMm(),
                        d.tyre(),
                        d.rollMm())
                .check(new Check())
                .orElse(i);
    }

    private static ShelfLine line(ShelfItem i, LocalDate today, int version) {
        MaterialClass c = i.materialClass();
        return new ShelfLine(
                i,
                version,
                c.name(),
                c.role(),
                c.roles(),
                c.hatch(),
                i.expires(),
                i.expires().map(e -> !today.isBefore(e)).orElse(false),
                i.low(),
                Arrays.stream(Family.values()).filter(f -> serves(c, f)).toList(),
                c.shown());
    }

    private static boolean serves(MaterialClass c, Family f) {
        return c.bondsTo().stream().anyMatch(s -> family(s).filter(x -> x == f).isPresent());
    }

    private static Optional<Family> family(Surface s) {
        return switch (s) {
            case STEEL, GALVANISED, ALUMINIUM, SANDED_COAT, EPOXY_PRIMER, FILLER, GLASS_FILLER, RUST ->
                Optional.of(Family.METAL);
            case POLYOLEFIN -> Optional.of(Family.POLYOLEFIN);
            case STYRENIC, ABS -> Optional.of(Family.STYRENIC);
            case ENGINEERING -> Optional.of(Family.ENGINEERING);
            case POLYAMIDE -> Optional.of(Family.POLYAMIDE);
            case FLEXIBLE_THERMOSET -> Optional.of(Family.FLEXIBLE_THERMOSET);
            case COMPOSITE, GELCOAT, COMPOSITE_REPAIR -> Optional.of(Family.COMPOSITE);
            case CLEAR -> Optional.of(Family.FILM);
            case GLASS -> Optional.of(Family.GLASS);
            case RUBBER -> Optional.of(Family.RUBBER);
            case PLASTIC_REPAIR -> Optional.empty();
        };
    }
}
