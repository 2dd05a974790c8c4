package app.jerboa.server.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.proof.Observed;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.profile.TestProfiles;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.AbstractPlatformTransactionManager;
import org.springframework.transaction.support.DefaultTransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

/** Which versions a server holds, while transactions make them and after. */
class JobVersionsTest {
    private static final long JOB = 7;

    /** It waits, or did not and is done. */
    private static final Set<Thread.State> SETTLED =
            EnumSet.of(Thread.State.TIMED_WAITING, Thread.State.TERMINATED);

    private static final Job PLAN = new JobEditor(TestProfiles.profiles()).read(DemoItems.all());

    private final JobVersions versions = new JobVersions();
    private final Jobs.Stored first = stored(1);
    private final Jobs.Stored second = stored(2);

    private static Jobs.Stored stored(long version) {
        return new Jobs.Stored(JOB, version, 200, PLAN, Observed.NONE, 0);
    }

    /**
     * A transaction that makes the second version.
     *
     * @param amid done within it
     * @param atCommit done when the database has it and this server is not told so yet; what throws
     *     takes it back
     */
    private void change(Runnable amid, Runnable atCommit) {
        new TransactionTemplate(new Database(atCommit))
                .executeWithoutResult(
                        status -> {
                            versions.keepOnceCommitted(second);
                            amid.run();
                        });
    }

    private Optional<Jobs.Stored> seenElsewhere() {
        return CompletableFuture.supplyAsync(() -> versions.at(JOB, 2, 0)).join();
    }

    @Test
    void whoMakesAVersionSeesItAndOthersDoNotBeforeItIsCommitted() {
        versions.keep(first);
        change(
                () -> {
                    assertThat(versions.at(JOB, 2, 0)).containsSame(second);
                    assertThat(seenElsewhere()).isEmpty();
                    assertThat(versions.at(JOB, 1, 0)).containsSame(first);
                },
                () -> {});
        assertThat(versions.at(JOB, 2, 0)).containsSame(second);
        assertThat(versions.at(JOB, 1, 0)).containsSame(first);
    }

    @Test
    void whoHearsOfAVersionSoonerThanItIsKeptWaitsForIt() {
        AtomicReference<Optional<Jobs.Stored>> found = new AtomicReference<>();
        Thread other = new Thread(() -> found.set(versions.at(JOB, 2, 0)));
        change(
                () -> {},
                () -> {
                    other.start();
                    while (!SETTLED.contains(other.getState())) {
                        Thread.onSpinWait();
                    }
                });
        await().until(() -> found.get() != null);
        assertThat(found.get()).containsSame(second);
    }

    @Test
    void whatIsTakenBackIsNeverShown() {
        assertThat(
                        CompletableFuture.runAsync(
                                        () ->
                                                change(
                                                        () -> {},
                                                        () -> {
                                                            throw new IllegalStateException();
                                                        }))
                                .handle((done, failure) -> failure != null)
                                .join())
                .isTrue();
        assertThat(versions.at(JOB, 2, 0)).isEmpty();
        assertThat(seenElsewhere()).isEmpty();
    }

    @Test
    void moreObservedThanWasMadeIsNotThere() {
        change(() -> assertThat(versions.at(JOB, 2, 1)).isEmpty(), () -> {});
    }

    /** One whose commit is not told of before something was done. */
    private static final class Database extends AbstractPlatformTransactionManager {
        private final transient Runnable atCommit;

        Database(Runnable atCommit) {
            this.atCommit = atCommit;
        }

        @Override
        protected Object doGetTransaction() {
            return new Object();
        }

        @Override
        protected void doBegin(Object transaction, TransactionDefinition definition) {
            // Nothing is stored.
        }

        @Override
        protected void doCommit(DefaultTransactionStatus status) {
            atCommit.run();
        }

        @Override
        protected void doRollback(DefaultTransactionStatus status) {
            // Nothing is stored.
        }
    }
}
