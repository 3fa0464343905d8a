package vanemend.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.trade.MethodId;

@DisplayName("the house: the core knows no framework, and each station only those before it")
class HouseTest {
    private static final List<String> ORDER = List.of(
            "trade",
            "part",
            "damage",
            "intake",
            "verdict",
            "material",
            "stack",
            "footprint",
            "section",
            "mix",
            "cure",
            "sanding",
            "method",
            "house",
            "plan",
            "template",
            "run",
            "record",
            "day");
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("vanemend.core");

    @Test
    void theCoreKnowsNoFrameworkStoreOrNetwork() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..",
                        "jakarta..",
                        "java.sql..",
                        "javax.sql..",
                        "java.net.http..",
                        "vanemend.app..")
                .check(CORE);
    }

    @Test
    void theCoreHasNoClockOfItsOwn() {
        noClasses().should().callMethod(java.time.Instant.class, "now").check(CORE);
        noClasses().should().callMethod(System.class, "currentTimeMillis").check(CORE);
        noClasses().should().callMethod(java.time.LocalDate.class, "now").check(CORE);
    }

    @Test
    void noPackageDependsOnALaterStation() {
        for (int i = 0; i < ORDER.size() - 1; i++) {
            String[] later = ORDER.subList(i + 1, ORDER.size()).stream()
                    .map(p -> "vanemend.core." + p + "..")
                    .toArray(String[]::new);
            noClasses()
                    .that()
                    .resideInAPackage("vanemend.core." + ORDER.get(i) + "..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(later)
                    .check(CORE);
        }
    }

    @Test
    void theFolderOfAFamilyIsKnownByTheRegistryAlone() {
        for (String family : MethodId.families()) {
            String folder = "vanemend.core.method." + family + "..";
            noClasses()
                    .that()
                    .resideOutsideOfPackage(folder)
                    .and()
                    .doNotHaveFullyQualifiedName("vanemend.core.method.Methods")
                    .should()
                    .dependOnClassesThat()
                    .resideInAPackage(folder)
                    .check(CORE);
        }
    }

    @Test
    void everyPackageUnderMethodIsTheFolderOfAFamily() {
        classes()
                .that()
                .resideInAPackage("vanemend.core.method.*..")
                .should()
                .resideInAnyPackage(MethodId.families().stream()
                        .map(f -> "vanemend.core.method." + f)
                        .toArray(String[]::new))
                .check(CORE);
    }

    @Test
    void noPackagesGoRoundInCircles() {
        SlicesRuleDefinition.slices()
                .matching("vanemend.core.(*)..")
                .should()
                .beFreeOfCycles()
                .check(CORE);
    }
}
