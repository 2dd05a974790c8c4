package app.jerboa.server;

import static com.tngtech.archunit.core.domain.JavaCall.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.assignableTo;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideOutsideOfPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideOutsideOfPackages;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;

/** The server's walls; that a feature sees another's public types only is the compiler's work. */
class ServerWallsTest {
    private static final JavaClasses SERVER =
            new ClassFileImporter()
                    .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                    .importPackages("app.jerboa");

    @Test
    void reachesTheRigOverTheNetworkOnly() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAPackage("app.jerboa.standin..")
                .check(SERVER);
    }

    @Test
    void featuresDoNotGoRoundInCircles() {
        slices().matching("app.jerboa.server.(*)..").should().beFreeOfCycles().check(SERVER);
    }

    @Test
    void arrowsDoNotTurnRound() {
        noClasses()
                .that()
                .resideInAnyPackage("app.jerboa.core..", "app.jerboa.wire..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("app.jerboa.server..")
                .check(SERVER);
        noClasses()
                .that()
                .resideInAPackage("app.jerboa.core..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("app.jerboa.wire..")
                .check(SERVER);
        noClasses()
                .that()
                .resideInAPackage("..server.platform..")
                .should()
                .dependOnClassesThat(
                        resideInAPackage("..jerboa.server..")
                                .and(
                                        resideOutsideOfPackages(
                                                "..server.platform..", "..server.words..")))
                .check(SERVER);
        noClasses()
                .that()
                .resideInAPackage("..server.words..")
                .should()
                .dependOnClassesThat(
                        resideInAPackage("..jerboa.server..")
                                .and(resideOutsideOfPackage("..server.words..")))
                .check(SERVER);
    }

    /**
     * An answer of a link is told on the thread that reads them all: what does something with it is
     * said to run elsewhere. Named here are those that hang on futures which end elsewhere anyhow.
     */
    @Test
    void nothingIsDoneOnTheThreadThatReadsTheLinks() {
        noClasses()
                .that()
                .resideInAPackage("app.jerboa.server..")
                .and()
                .doNotHaveSimpleName("Driving")
                .and()
                .doNotHaveSimpleName("CameraTaking")
                .and()
                .doNotHaveSimpleName("RollCall")
                .and()
                .doNotHaveSimpleName("SerialTasks")
                .and()
                .doNotHaveSimpleName("HeadLinks")
                .should()
                .callMethodWhere(
                        target(owner(assignableTo(CompletableFuture.class)))
                                .and(target(nameMatching("thenAccept|thenRun|whenComplete"))))
                .check(SERVER);
    }

    /** But for LISTEN, which no mapper can wait on. */
    @Test
    void sqlStaysInMappers() {
        noClasses()
                .that()
                .resideInAPackage("app.jerboa.server..")
                .and()
                .haveSimpleNameNotContaining("NoticeListener")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.sql..", "org.springframework.jdbc..")
                .check(SERVER);
    }
}
