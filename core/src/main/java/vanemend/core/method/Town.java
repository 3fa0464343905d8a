package vanemend.core.method;

import java.nio.charset.StandardCharsets;
import java.util.List;
import vanemend.core.trade.DataFile;

/**
 * A town to say by name where the shop lies. Published: IANA time zone database, zone1970.tab, public domain; to a hundredth of a degree.
 *
 * @param zone its time zone
 * @param latitudeDeg north positive
 * @param longitudeDeg east positive
 */
public record Town(String name, String zone, double latitudeDeg, double longitudeDeg) {
    private static final List<Town> ALL = new String(DataFile.bytes("trade/towns.csv"), StandardCharsets.UTF_8)
            .lines()
            .filter(l -> !l.startsWith("#"))
            .map(Town::of)
            .toList();

    /** All by name. */
    public static List<Town> all() {
        return ALL;
    }

    private static Town of(String line) {
        String[] parts = line.split(";");
        return new Town(parts[0], parts[1], Double.parseDouble(parts[2]), Double.parseDouble(parts[3]));
    }
}
