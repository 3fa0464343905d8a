package vanemend.core.trade;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The schools that one plan follows: those of the way to mend that was taken, before the house's; and which questions were asked at all, so
 * that a record names no school that nobody followed. Not safe for use by several threads: it belongs to one plan in the making.
 */
public final class FollowedSchools implements Schools {
    private final HouseRules house;
    private final Map<String, String> own;
    private final Set<String> asked;

    private FollowedSchools(HouseRules house, Map<String, String> own, Set<String> asked) {
        this.house = house;
        this.own = Map.copyOf(own);
        this.asked = asked;
    }

    /** The house's, before a way to mend is taken. */
    public static FollowedSchools of(HouseRules house) {
        return new FollowedSchools(house, Map.of(), new LinkedHashSet<>());
    }

    /** A copy for the way to mend whose own answers, by question, are {@code own}; questions that were asked so far stay asked. */
    public FollowedSchools taking(Map<String, String> own) {
        return new FollowedSchools(house, own, new LinkedHashSet<>(asked));
    }

    @Override
    public String of(String question) {
        asked.add(question);
        String option = own.get(question);
        return option == null ? house.of(question) : option;
    }

    /** What was asked or belongs to the way to mend, in the order the work meets it. */
    public List<SchoolFollowed> followed() {
        List<SchoolFollowed> out = new ArrayList<>();
        for (HouseRules.School s : HouseRules.schools()) {
            if (own.containsKey(s.id())) {
                out.add(SchoolFollowed.of(s, own.get(s.id())));
            } else if (asked.contains(s.id())) {
                out.add(SchoolFollowed.of(s, house.of(s.id())));
            }
        }
        return List.copyOf(out);
    }
}
