package vanemend.core.trade;

/**
 * A school that a plan follows.
 *
 * @param school id of the question
 * @param option id of the answer
 * @param question as shown
 * @param label the answer as shown
 */
public record SchoolFollowed(String school, String option, String question, String label) {
    /** The answer {@code option} of {@code school}. */
    static SchoolFollowed of(HouseRules.School school, String option) {
        return new SchoolFollowed(
                school.id(), option, school.question(), school.option(option).label());
    }
}
