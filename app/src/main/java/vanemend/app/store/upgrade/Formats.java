package vanemend.app.store.upgrade;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import vanemend.core.record.RecordFile;

/**
 * The formats that plans, events and record files are kept in, and how an older one is read. A format number goes up with every change of
 * what is stored; an upgrade, once landed, stays as it is, and one kept example of every format is read in a test. Nothing that is stored is
 * ever rewritten: the upgrade is made while it is read.
 */
public final class Formats {
    /** Format of plans that are started now. */
    public static final int PLAN = 10;

    /** Format of events that are taken now. */
    public static final int EVENT = 5;

    /** How the source of a reading ended in the first format that a device gave by itself. */
    private static final String LOGGED = ", logged";

    private Formats() {}

    /** Brings {@code plan}, kept in {@code format}, to today's; throws {@link IllegalArgumentException} for a format that is not known. */
    public static void plan(int format, ObjectNode plan) {
        known("plan", format, PLAN);
        if (format < 2) {
            PlanFormat1.upgrade(plan);
        }
        if (format < 3) {
            PlanFormat2.upgrade(plan);
        }
        if (format < 4) {
            PlanFormat3.upgrade(plan);
        }
        if (format < 5) {
            PlanFormat4.upgrade(plan);
        }
        if (format < 6) {
            PlanFormat5.upgrade(plan);
        }
        // From the seventh on a dent says how it is raised; one that does not is tapped, as all were before. From the
        // eighth on it may carry what was read along a straightedge; one that does not is as its shape says. From the
        // ninth on a mix may be thinned and says how wide its spreader is; one that does not goes as it comes, by the
        // book's. From the tenth on what one more round takes says how thick it lies; one that does not begins with
        // every paper.
    }

    /** The source of a reading as today's events have it; {@code text} as kept in {@code format}. */
    public static String source(int format, String text) {
        known("event", format, EVENT);
        return format < 2 && text.endsWith(LOGGED) ? text.substring(0, text.length() - LOGGED.length()) : text;
    }

    /** Whether a reading with that {@code text} was given by a device by itself, in events of the first format. */
    public static boolean loggedByText(int format, String text) {
        return format < 2 && text.endsWith(LOGGED);
    }

    /** Brings a record file to today's format; one of an unknown format is left as it is, to be refused by name. */
    public static void record(ObjectNode file) {
        switch (file.path("format").asString("")) {
            case RecordFile.FORMAT_1 -> {
                plan(1, (ObjectNode) file.get("frozen"));
                readingsByWhatTheyAre(file.get("events"));
            }
            case RecordFile.FORMAT_2 -> plan(2, (ObjectNode) file.get("frozen"));
            case RecordFile.FORMAT_3 -> plan(3, (ObjectNode) file.get("frozen"));
            case RecordFile.FORMAT_4 -> plans(4, file);
            case RecordFile.FORMAT_5 -> plans(5, file);
            case RecordFile.FORMAT_6 -> plans(6, file);
            case RecordFile.FORMAT_7 -> plans(7, file);
            case RecordFile.FORMAT_8 -> plans(8, file);
            case RecordFile.FORMAT_9 -> plans(9, file);
            default -> {
                return;
            }
        }
        file.put("format", RecordFile.FORMAT);
    }

    private static void plans(int format, ObjectNode file) {
        plan(format, (ObjectNode) file.get("frozen"));
        file.path("anew").forEach(p -> plan(format, (ObjectNode) p));
    }

    /** Brings a draft of work that has not begun to today's; one that is today's stays as it is. */
    public static void draft(ObjectNode draft) {
        PlanFormat4.draft(draft);
    }

    private static void readingsByWhatTheyAre(JsonNode events) {
        for (JsonNode e : events) {
            if ("READING".equals(e.path("kind").asString(""))) {
                String text = e.path("text").asString("");
                ((ObjectNode) e).put("logged", loggedByText(1, text)).put("text", source(1, text));
            }
        }
    }

    private static void known(String what, int format, int newest) {
        if (format < 1 || format > newest) {
            throw new IllegalArgumentException("a " + what + " of format " + format
                    + " is not known here; the newest is " + newest + ": this store was written by a later release");
        }
    }
}
