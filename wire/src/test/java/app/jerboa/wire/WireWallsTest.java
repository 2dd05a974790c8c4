package app.jerboa.wire;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The walls of the wire: codecs do no I/O, links know nothing of jobs. */
class WireWallsTest {
    private static final JavaClasses WIRE =
            new ClassFileImporter()
                    .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                    .importPackages("app.jerboa.wire");

    @Test
    void codecsDoNoInputOrOutput() {
        noClasses()
                .that()
                .resideInAnyPackage("..octets..", "..visca..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "java.net..",
                        "java.nio..",
                        "java.time..",
                        "java.util.concurrent..",
                        "org..",
                        "app.jerboa.wire.link..")
                .check(WIRE);
    }

    @Test
    void linksKnowNoJobNoTableNoFramework() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "app.jerboa.core..",
                        "app.jerboa.standin..",
                        "app.jerboa.server..",
                        "java.sql..",
                        "org.springframework..")
                .check(WIRE);
        noClasses()
                .that()
                .resideInAPackage("..link")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "..link.net..", "..link.line..", "..link.serial..", "..link.session..")
                .check(WIRE);
    }
}
