package vanemend.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import org.junit.jupiter.api.Test;

class HouseTest {
    private static final JavaClasses APP = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("vanemend.app");

    @Test
    void sqlStaysInTheStoreAndInAccess() {
        noClasses()
                .that()
                .resideOutsideOfPackages("vanemend.app.store..", "vanemend.app.access..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.sql..", "org.springframework.jdbc..")
                .check(APP);
    }

    @Test
    void theStoreKnowsNoWeb() {
        noClasses()
                .that()
                .resideInAPackage("vanemend.app.store..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework.web..", "jakarta.servlet..", "vanemend.app.web..")
                .check(APP);
    }

    @Test
    void noPackagesGoRoundInCircles() {
        SlicesRuleDefinition.slices()
                .matching("vanemend.app.(*)..")
                .should()
                .beFreeOfCycles()
                .check(APP);
    }
}
