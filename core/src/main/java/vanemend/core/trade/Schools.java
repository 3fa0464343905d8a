package vanemend.core.trade;

/** Which school is followed, question by question. */
public interface Schools {
    /** The option in force for {@code question}; throws {@link IllegalArgumentException} for an unknown one. */
    String of(String question);

    /** Whether {@code question} is answered by {@code option}; throws {@link IllegalArgumentException} where either is unknown. */
    default boolean is(String question, String option) {
        return of(question).equals(HouseRules.school(question).option(option).id());
    }

    /** The option in force, as shown. */
    default String label(String question) {
        return HouseRules.school(question).option(of(question)).label();
    }
}
