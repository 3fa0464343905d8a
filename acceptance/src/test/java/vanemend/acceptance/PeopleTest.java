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
        takesAPasswordOfTheirOwn(new Technician(wren));
    }

    private static void takesAPasswordOfTheirOwn(Technician wren) {
        String own = "tack-cloth-blue-7";
        wren.button("My password").click();
        wren.type("Password now", "something-else");
        wren.type("New password", own);
        wren.type("New password again", own + "8");
        wren.button("Take this password").click();
        assertThat(wren.page().getByText("not typed the same twice")).isVisible();
        wren.type("New password again", own);
        wren.button("Take this password").click();
        assertThat(wren.page().getByText("That is not the password you sign in with"))
                .isVisible();
        wren.type("Password now", Depot.PASSWORD);
        wren.button("Take this password").click();
        assertThat(wren.page().getByRole(AriaRole.DIALOG)).isHidden();
        wren.button("Sign out").click();
        wren.type("Name", "wren");
        wren.type("Password", own);
        wren.button("Sign in").click();
        assertThat(wren.page().getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Places")))
                .isVisible();
    }
}
