package app.jerboa.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The walls of the core: no interface code, no I/O, no clock, and arrows that run one way. */
class CoreWallsTest {
    private static final JavaClasses CORE =
            new ClassFileImporter()
                    .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                    .importPackages("app.jerboa.core");

    @Test
    void knowsNoFrameworkNoSocketNoTable() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org..",
                        "tools..",
                        "com..",
                        "java.io..",
                        "java.net..",
                        "java.nio..",
                        "java.sql..",
                        "java.util.concurrent..",
                        "app.jerboa.wire..",
                        "app.jerboa.server..",
                        "app.jerboa.standin..")
                .check(CORE);
    }

    @Test
    void readsNoClock() {
        noClasses().should().callMethod(java.time.Instant.class, "now").check(CORE);
        noClasses()
                .should()
                .dependOnClassesThat()
                .belongToAnyOf(java.time.Clock.class, Thread.class)
                .check(CORE);
    }

    private static final String[] DISCIPLINES = {
        "app.jerboa.core.net..",
        "app.jerboa.core.motion..",
        "app.jerboa.core.power..",
        "app.jerboa.core.serial..",
        "app.jerboa.core.video.."
    };

    @Test
    void valuesItemsAndFindingsKnowNoneOfTheRules() {
        noClasses()
                .that()
                .resideInAPackage("app.jerboa.core.value..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("app.jerboa.core.item..", "app.jerboa.core.finding..")
                .check(CORE);
        noClasses()
                .that()
                .resideInAnyPackage(
                        "app.jerboa.core.value..",
                        "app.jerboa.core.item..",
                        "app.jerboa.core.finding..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(DISCIPLINES)
                .check(CORE);
        noClasses()
                .that()
                .resideInAnyPackage(
                        "app.jerboa.core.value..",
                        "app.jerboa.core.item..",
                        "app.jerboa.core.finding..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "app.jerboa.core.profile..",
                        "app.jerboa.core.job..",
                        "app.jerboa.core.bringup..")
                .check(CORE);
    }

    @Test
    void disciplinesKnowNoJob() {
        noClasses()
                .that()
                .resideInAnyPackage(DISCIPLINES)
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "app.jerboa.core.profile..",
                        "app.jerboa.core.job..",
                        "app.jerboa.core.bringup..")
                .check(CORE);
    }

    @Test
    void nothingGoesRoundInCircles() {
        slices().matching("app.jerboa.core.(*)..").should().beFreeOfCycles().check(CORE);
        slices().matching("app.jerboa.core.job.(*)..").should().beFreeOfCycles().check(CORE);
    }

    /** The model stands under everything that is made of it. */
    @Test
    void theModelKnowsNothingMadeOfIt() {
        noClasses()
                .that()
                .resideInAPackage("app.jerboa.core.job")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("app.jerboa.core.job.*..")
                .check(CORE);
    }
}
