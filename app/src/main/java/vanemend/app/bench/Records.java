package vanemend.app.bench;

import java.security.PublicKey;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.LongConsumer;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ObjectNode;
import vanemend.app.access.Account;
import vanemend.app.problem.Refused;
import vanemend.app.store.Audit;
import vanemend.app.store.BenchEvents;
import vanemend.app.store.InstallationKey;
import vanemend.app.store.Json;
import vanemend.app.store.OneRow;
import vanemend.app.store.Origins;
import vanemend.app.store.Repairs;
import vanemend.app.store.Shop;
import vanemend.app.store.upgrade.Formats;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.record.RecordFile;
import vanemend.core.record.RecordWords;
import vanemend.core.record.RepairRecord;
import vanemend.core.run.BenchEvent;
import vanemend.core.trade.Check;

/** Records found again, written out and read back in. */
@Component
public class Records {
    /** A record that answers a question. */
    public record Found(long id, FrozenPlan frozen, RepairRecord record, List<RecordWords.Word> met) {}

    private static final int MOST_ASKED = 200;

    private final Repairs repairs;
    private final BenchEvents events;
    private final RepairWork work;
    private final Shop shop;
    private final Json json;
    private final Audit audit;
    private final Clock clock;
    private final Bell bell;
    private final InstallationKey key;
    private final Origins origins;

    Records(
            Repairs repairs,
            BenchEvents events,
            RepairWork work,
            Shop shop,
            Json json,
            Audit audit,
            Clock clock,
            Bell bell,
            InstallationKey key,
            Origins origins) {
        this.repairs = repairs;
        this.events = events;
        this.work = work;
        this.shop = shop;
        this.json = json;
        this.audit = audit;
        this.clock = clock;
        this.bell = bell;
        this.key = key;
        this.origins = origins;
    }

    /** Records of work begun that hold every word of {@code asked}, newest change first. */
    public List<Found> find(String asked) {
        if (asked.length() > MOST_ASKED) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Find",
                    "The question has " + asked.length() + " characters; at most " + MOST_ASKED + ".");
        }
        List<Found> out = new ArrayList<>();
        for (Repairs.Stored r : repairs.all()) {
            if (r.frozen()) {
                OneRow.of(r.id(), () -> found(r.id(), asked)).ifPresent(f -> f.ifPresent(out::add));
            }
        }
        return List.copyOf(out);
    }

    /** The record of {@code id} as it is found by anything. */
    public Optional<Found> of(long id) {
        return found(id, "");
    }

    private Optional<Found> found(long id, String asked) {
        FrozenPlan frozen = repairs.plan(id).orElseThrow();
        RepairRecord record = work.record(id);
        return RecordWords.met(RecordWords.of(frozen, record, shop.zone()), asked)
                .map(met -> new Found(id, frozen, record, met));
    }

    /** The public key that records written out here are sealed with. */
    public PublicKey key() {
        return key.pair().getPublic();
    }

    /** Where the record of {@code id} came from; empty for work done here. */
    public Optional<Origins.Origin> origin(long id) {
        return origins.of(id);
    }

    /** The record of {@code id} as a file that reads back in whole, sealed. */
    public String file(long id) {
        List<FrozenPlan> plans = work.running(id).plans();
        RecordFile file = new RecordFile(
                RecordFile.FORMAT,
                repairs.clientId(id),
                plans.getFirst(),
                plans.subList(1, plans.size()),
                events.of(id));
        return Seal.on(json.write(file), key.pair());
    }

    /**
     * Reads a record in; one that is here already is refused, so that nothing is doubled. It is tried as everybody will read it, by
     * {@code trial}, before it is kept: a damaged one leaves nothing behind.
     */
    @Transactional
    public long read(String text, Account who, LongConsumer trial) {
        RecordFile file = parsed(text);
        Origins.Origin from = origin(text);
        Check check = new Check();
        file.check(check);
        Refused.unlessClean("Record", check);
        Optional<Long> here = repairs.byClientId(file.repair());
        if (here.isPresent()) {
            throw new Refused(
                    HttpStatus.CONFLICT, "Record", "This record is here already, as repair " + here.get() + ".");
        }
        for (BenchEvent e : file.events()) {
            if (events.holder(e.id()).isPresent()) {
                throw new Refused(
                        HttpStatus.CONFLICT,
                        "Record",
                        "An event of this record stands in another repair here: it was changed since it was written out.");
            }
        }
        long id;
        try {
            id = kept(file, who);
        } catch (DataIntegrityViolationException e) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Record",
                    "This file is damaged: something in it is longer or other than a record has. Nothing of it was kept.");
        }
        origins.keep(id, from);
        tried(id, trial);
        audit.did(
                who.id(), Audit.Act.RECORD, "Read in: " + file.frozen().workup().name());
        bell.ringAfterCommit(id);
        return id;
    }

    private long kept(RecordFile file, Account who) {
        long id = repairs.add(file.repair(), file.frozen().draft(), who.id());
        repairs.freeze(id, file.frozen(), who.id());
        for (int i = 0; i < file.anew().size(); i++) {
            repairs.freezeAnew(id, i + 2, file.anew().get(i), who.id());
        }
        file.events().forEach(e -> events.addFromElsewhere(id, e, who.id()));
        return id;
    }

    private static void tried(long id, LongConsumer trial) {
        try {
            trial.accept(id);
        } catch (DataAccessException | Refused e) {
            throw e;
        } catch (RuntimeException e) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Record",
                    "This file is damaged: it reads in, but cannot be told as a record. Nothing of it was kept.");
        }
    }

    /** Where {@code text} came from; a file whose seal does not hold is refused. */
    private Origins.Origin origin(String text) {
        return switch (Seal.on(text)) {
            case Seal.Found.None n -> new Origins.Origin(Origins.Sealed.NONE, Optional.empty());
            case Seal.Found.Whole w ->
                new Origins.Origin(
                        w.fingerprint().equals(Seal.fingerprint(key.pair().getPublic()))
                                ? Origins.Sealed.OWN
                                : Origins.Sealed.OTHER,
                        Optional.of(w.fingerprint()));
            case Seal.Found.Broken b ->
                throw new Refused(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "Record",
                        "This record is not as it was written out. " + b.why() + " Nothing of it was kept.");
        };
    }

    private RecordFile parsed(String text) {
        try {
            ObjectNode tree = json.tree(text);
            Formats.record(tree);
            return json.read(tree, RecordFile.class);
        } catch (RuntimeException e) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Record",
                    "This is no record that can be read: expected a file written out by Record, JSON.");
        }
    }
}
