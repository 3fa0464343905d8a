package vanemend.core.trade;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;

/** Names the state of all trade data, so that a frozen plan can say which book made it. */
public final class RuleBook {
    /** What every folder of a method's family may hold. */
    private static final List<String> OF_A_FAMILY = List.of("recipes.yaml", "interlocks.yaml", "figures.yaml");

    /** Every data file that can change a plan, those of the methods' families among them. */
    public static final List<String> FILES = files();

    private static List<String> files() {
        List<String> out = new ArrayList<>(List.of(
                "trade/values.yaml",
                "trade/schools.yaml",
                "trade/cautions.yaml",
                "part/polymers.yaml",
                "part/fillers.yaml",
                "part/tests.yaml",
                "part/outlines.yaml",
                "verdict/limits.yaml",
                "material/classes.yaml",
                "stack/forbidden.yaml",
                "sanding/grains.yaml",
                "method/interlocks.yaml"));
        OF_A_FAMILY.forEach(name -> out.addAll(DataFile.ofFamilies(name)));
        return List.copyOf(out);
    }

    private static final String VERSION = digest();

    private RuleBook() {}

    /** First 12 hex digits of the SHA-256 over all files in order; changes when any figure or word does. */
    public static String version() {
        return VERSION;
    }

    private static String digest() {
        try {
            MessageDigest sha = MessageDigest.getInstance("SHA-256");
            FILES.forEach(f -> sha.update(DataFile.bytes(f)));
            return HexFormat.of().formatHex(sha.digest()).substring(0, 12);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
