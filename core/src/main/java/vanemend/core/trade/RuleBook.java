package vanemend.core.trade;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.net.URL;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/**
 * Names the state of all that can change a plan, so that a frozen plan can say which book made it: every data file, and the pages, layouts
 * and computation themselves in their compiled form. What only reads a plan (run, record, template) is no part of it.
 */
public final class RuleBook {
    private static final String DATA = "vanemend/";
    private static final String CODE = "vanemend/core/";
    private static final List<String> READERS_ONLY =
            List.of("vanemend/core/run/", "vanemend/core/record/", "vanemend/core/template/");
    private static final int SHOWN_DIGITS = 12;

    private static final String VERSION = version(contents());

    private RuleBook() {}

    /** First 12 hex digits of the SHA-256 over {@link #contents()}; changes when any figure, word or rule of computation does. */
    public static String version() {
        return VERSION;
    }

    /** The version of this book with {@code more} laid on it. */
    public static String versionWith(String more) {
        return version(new TreeMap<>(Map.of(VERSION, more.getBytes(StandardCharsets.UTF_8))));
    }

    /** The version of {@code contents}: names and bytes in the order of names. */
    static String version(SortedMap<String, byte[]> contents) {
        try {
            MessageDigest sha = MessageDigest.getInstance("SHA-256");
            for (Map.Entry<String, byte[]> e : contents.entrySet()) {
                sha.update(e.getKey().getBytes(StandardCharsets.UTF_8));
                sha.update((byte) 0);
                sha.update(e.getValue());
            }
            return HexFormat.of().formatHex(sha.digest()).substring(0, SHOWN_DIGITS);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /** Everything of the book by its name: data files and compiled classes as shipped, a folder in a build, a jar in use. */
    static SortedMap<String, byte[]> contents() {
        SortedMap<String, byte[]> out = new TreeMap<>();
        URL here = RuleBook.class.getProtectionDomain().getCodeSource().getLocation();
        try {
            if (here.getProtocol().equals("file") && Files.isDirectory(Path.of(here.toURI()))) {
                folder(Path.of(here.toURI()), out);
            } else {
                jar(here, out);
            }
        } catch (IOException e) {
            throw new UncheckedIOException("the rule book cannot be read from " + here, e);
        } catch (URISyntaxException e) {
            throw new IllegalStateException("the rule book cannot be read from " + here, e);
        }
        if (out.isEmpty()) {
            throw new IllegalStateException("the rule book is empty in " + here);
        }
        return out;
    }

    private static void folder(Path root, SortedMap<String, byte[]> out) throws IOException {
        try (Stream<Path> files = Files.walk(root.resolve(DATA))) {
            for (Path p : files.filter(Files::isRegularFile).toList()) {
                String name = root.relativize(p).toString().replace('\\', '/');
                if (counts(name)) {
                    out.put(name, Files.readAllBytes(p));
                }
            }
        }
    }

    private static void jar(URL jar, SortedMap<String, byte[]> out) throws IOException {
        try (InputStream in = jar.openStream();
                ZipInputStream zip = new ZipInputStream(in)) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                if (!e.isDirectory() && counts(e.getName())) {
                    out.put(e.getName(), zip.readAllBytes());
                }
            }
        }
    }

    private static boolean counts(String name) {
        return name.startsWith(CODE)
                ? name.endsWith(".class") && READERS_ONLY.stream().noneMatch(name::startsWith)
                : name.startsWith(DATA);
    }
}
