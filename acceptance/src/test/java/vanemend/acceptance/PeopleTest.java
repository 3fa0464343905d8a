package vanemend.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@DisplayName("a lead adds somebody, who then signs in")
@ExtendWith(Depot.Leave.class)
class PeopleTest {
    @Test
    void somebodyNewComesIn() {
        Technician isla = new Technician(Depot.as("isla", 1280, 800));
        isla.place("Repairs");
        isla.page().getByText("Records").click();
        isla.page().getByText("People").click();
        isla.button("Add").click();
        isla.type("Name", "Wren Adeyemi");
        isla.type("Signs in as", "wren a");
        isla.type("Password", Depot.PASSWORD);
        isla.button("Apprentice").click();
        isla.button("Add to the shop").click();
        // What is wrong is said at its field, and what was typed stays.
        assertThat(isla.page().getByText("The sign-in name takes")).isVisible();
        isla.type("Signs in as", "wren");
        isla.button("Add to the shop").click();
        assertThat(isla.page().getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("Wren Adeyemi")))
                .containsText("Apprentice");
        Page wren = Depot.as("wren", 1280, 800);
        assertThat(wren.getByText("Wren").first()).isVisible();
    }
}
