package vanemend.app.bench;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.security.PublicKey;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.LongConsumer;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;
import vanemend.app.access.Account;
import vanemend.app.problem.Refused;
import vanemend.app.store.AllOrNothing;
import vanemend.app.store.Audit;
import vanemend.app.store.BenchEvents;
import vanemend.app.store.ClosedRuns;
import vanemend.app.store.InstallationKey;
import vanemend.app.store.Json;
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
    /** A record that answers a question, and by which of its words. */
    public record Found(long id, ClosedRuns.Line line, List<RecordWords.Word> met) {}

    /**
     * Some of what answers a question.
     *
     * @param next where those after these begin; absent where these are the last
     * @param unsorted records of closed work that cannot be found yet, since an update is still sorting them in
     */
    public record Page(List<Found> found, Optional<ClosedRuns.Place> next, int unsorted) {}

    private static final int MOST_ASKED = 200;
    private static final int A_PAGE = 50;

    /** What is told of runs under way, by run and newest event. */
    private final Cache<Key, Told> lines =
            Caffeine.newBuilder().maximumSize(1_000).build();

    private record Key(long repair, UUID newest) {}

    private record Told(ClosedRuns.Line line, RecordWords.Findable words) {
        static Told of(ClosedRuns.Line line) {
            return new Told(line, RecordWords.Findable.of(line.words()));
        }
    }

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
    private final ClosedRuns closed;
    private final Closing closing;

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
            Origins origins,
            ClosedRuns closed,
            Closing closing) {
        this.closed = closed;
        this.closing = closing;
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

    /**
     * Records of work begun that hold a word for every part of {@code asked}, a page at a time: with the first page all that are under way, then
     * what was closed, the newest first.
     */
    public Page find(String asked, Optional<ClosedRuns.Place> after) {
        List<String> parts = parts(asked);
        List<Found> out = new ArrayList<>();
        RepairWork.UnderWay now = work.underWay();
        if (after.isEmpty()) {
            now.live().forEach(l -> found(l.id(), told(l), parts).ifPresent(out::add));
        }
        List<ClosedRuns.Closed> some = closed.find(parts, after.orElse(ClosedRuns.Place.TOP), A_PAGE + 1);
        for (ClosedRuns.Closed c : some.subList(0, Math.min(A_PAGE, some.size()))) {
            c.line().flatMap(l -> found(c.repair(), Told.of(l), parts)).ifPresent(out::add);
        }
        return new Page(List.copyOf(out), next(some), now.unsorted());
    }

    /** A page of what is closed that answers {@code asked}, the newest first. */
    public ClosedPage closed(String asked, Optional<ClosedRuns.Place> after) {
        List<ClosedRuns.Closed> some = closed.find(parts(asked), after.orElse(ClosedRuns.Place.TOP), A_PAGE + 1);
        return new ClosedPage(some.subList(0, Math.min(A_PAGE, some.size())), next(some));
    }

    /** Some of what is closed; {@code next} as in {@link Page}. */
    public record ClosedPage(List<ClosedRuns.Closed> closed, Optional<ClosedRuns.Place> next) {}

    private static Optional<ClosedRuns.Place> next(List<ClosedRuns.Closed> some) {
        return some.size() > A_PAGE ? Optional.of(some.get(A_PAGE - 1).place()) : Optional.empty();
    }

    private static List<String> parts(String asked) {
        if (asked.length() > MOST_ASKED) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Find",
                    "The question has " + asked.length() + " characters; at most " + MOST_ASKED + ".");
        }
        return RecordWords.parts(asked);
    }

    private static Optional<Found> found(long id, Told told, List<String> parts) {
        return told.words().met(parts).map(met -> new Found(id, told.line(), met));
    }

    private Told told(RepairWork.Live l) {
        return lines.get(
                new Key(l.id(), l.happened().getLast().id()),
                k -> Told.of(
                        closing.line(l.plans(), l.state(), RepairRecord.of(l.plans(), l.happened(), clock.instant()))));
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
    @AllOrNothing
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
        work.sort(id);
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
