package app.jerboa.server.shot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.proof.Observed;
import app.jerboa.server.desk.MachineDesk;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.server.run.MachineRun;
import app.jerboa.server.shot.ShotBodies.SentCamera;
import app.jerboa.wire.link.session.HeadLink;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The demo's list while it is run, with cameras that travel until they are told to be there. */
class ShotRunningTest {
    private static final long JOB = 1;
    private static final long LIST = 136;
    private static final long L1 = 7;
    private static final long L2 = 8;
    private static final long L3 = 9;
    private static final long L4 = 10;

    private final Job job = new JobEditor(TestProfiles.profiles()).read(DemoItems.all());
    private final MachineDesks desks = mock();
    private final ShotRunMapper mapper = mock();
    private final Jobs jobs = mock();
    private final ExecutorService threads = Executors.newCachedThreadPool();
    private final AtomicReference<ShotRunRow> row = new AtomicReference<>();
    private final AtomicBoolean arrive = new AtomicBoolean();

    /** What each camera was sent to, and those that were called back. */
    private final Map<Long, List<Integer>> sent = new ConcurrentHashMap<>();

    private final List<Long> calledBack = new CopyOnWriteArrayList<>();
    private final List<List<SentCamera>> found = new CopyOnWriteArrayList<>();
    private ShotRunning running;
    private Future<MachineRun.End> end;

    private static long take(int number) {
        return LIST + number;
    }

    private void stands(Integer at, int next, double elapsed, double silent) {
        row.set(
                new ShotRunRow(
                        LIST, at == null ? null : take(at), take(next), elapsed, next, silent));
    }

    private void begin() {
        when(jobs.load(JOB)).thenReturn(new Jobs.Stored(JOB, 1, 200, job, Observed.NONE, 0));
        when(mapper.row(JOB)).thenAnswer(i -> Optional.of(row.get()));
        when(desks.take(anyLong(), anyLong(), any(), any()))
                .thenAnswer(i -> desk(i.getArgument(1)));
        running = new ShotRunning(tools(), JOB, LIST, null, "");
        end = threads.submit(() -> running.run(new Watched()));
    }

    private ShotRunning.Tools tools() {
        return new ShotRunning.Tools(jobs, desks, mapper, threads);
    }

    private final class Watched implements MachineRun.Progress {
        @Override
        public void now(int done, String doing) {
            // Only what came of it is looked at here.
        }

        @Override
        @SuppressWarnings("unchecked")
        public void found(Object result) {
            found.add((List<SentCamera>) result);
        }
    }

    /** It travels until it is told to arrive, or called back. */
    private MachineDesk desk(long device) {
        MachineDesk desk = mock();
        HeadLink link = mock();
        when(link.can()).thenReturn(mock(HeadLink.Abilities.class));
        when(desk.link()).thenReturn(link);
        when(desk.recall(anyInt(), anyLong(), any()))
                .thenAnswer(
                        i -> {
                            sent.computeIfAbsent(device, d -> new ArrayList<>())
                                    .add(i.getArgument(0));
                            BooleanSupplier goOn = i.getArgument(2);
                            while (!arrive.get()) {
                                if (!goOn.getAsBoolean()) {
                                    calledBack.add(device);
                                    return false;
                                }
                                TimeUnit.MILLISECONDS.sleep(5);
                            }
                            return true;
                        });
        return desk;
    }

    @AfterEach
    void end() {
        arrive.set(true);
        threads.shutdownNow();
    }

    private MachineRun.End ended() {
        try {
            return end.get(5, TimeUnit.SECONDS);
        } catch (InterruptedException | ExecutionException | TimeoutException e) {
            throw new IllegalStateException(e);
        }
    }

    private List<SentCamera> newest() {
        return found.isEmpty() ? List.of() : found.get(found.size() - 1);
    }

    private List<String> states() {
        return newest().stream().map(c -> c.camera() + " " + c.state()).toList();
    }

    @Test
    void everyCameraGoesToItsFirstViewAndThoseOffAirToTheirNext() {
        stands(null, 1, 0, 0);
        begin();
        await().until(() -> sent.size() == 4);
        assertThat(sent).containsEntry(L1, List.of(0)).containsEntry(L4, List.of(2));
        arrive.set(true);
        await().until(() -> states().stream().allMatch(s -> s.endsWith(" there")));
        // Take 2 is on air: L1 was in take 1 and goes to take 3, the others stand already.
        stands(1, 2, 0, 0);
        await().until(() -> newest().stream().noneMatch(c -> c.device() == L1));
        stands(2, 3, 0, 0);
        await().until(() -> sent.get(L1).size() == 2);
        assertThat(sent)
                .containsEntry(L1, List.of(0, 1))
                .containsEntry(L2, List.of(2))
                .containsEntry(L3, List.of(2))
                .containsEntry(L4, List.of(2));
    }

    /** L4 left air with take 2; take 3 was lingered on, and its way to take 4 needs 0.7 s. */
    @Test
    void whatHasNoTimeIsNotSentAndSaysSo() {
        arrive.set(true);
        stands(null, 2, 0, 0);
        begin();
        await().until(() -> states().contains("L4 there"));
        stands(2, 3, 0, 0);
        await().until(() -> newest().stream().noneMatch(c -> c.device() == L4));
        stands(3, 4, 5.9, 0);
        await().until(() -> states().contains("L4 no-time"));
        assertThat(sent.get(L4)).containsExactly(2);
        assertThat(newest())
                .filteredOn(c -> c.device() == L4)
                .extracting(SentCamera::words)
                .containsExactly("L4 needs 0.7 s for take 4 and has 0.1 s, so it is not sent.");
    }

    @Test
    void aCameraThatIsShownWhileItTravelsIsStopped() {
        stands(null, 1, 0, 0);
        begin();
        await().until(() -> sent.containsKey(L1));
        stands(1, 2, 0, 0);
        await().until(() -> calledBack.contains(L1));
        assertThat(calledBack).doesNotContain(L4);
    }

    /** Its picture goes out, says a switcher or somebody at another desk. */
    @Test
    void aCameraThatGoesOnAirElsewhereIsStoppedOnItsWay() {
        stands(null, 1, 0, 0);
        begin();
        await().until(() -> sent.size() == 4);
        when(desks.onAir(JOB, L3)).thenReturn(true);
        await().until(() -> calledBack.contains(L3));
        assertThat(calledBack).containsExactly(L3);
    }

    @Test
    void withoutThePageWhatTravelsIsStoppedAndNothingIsSent() {
        stands(null, 1, 0, 4);
        begin();
        await().during(400, TimeUnit.MILLISECONDS).until(sent::isEmpty);
        stands(null, 1, 0, 0);
        await().until(() -> sent.size() == 4);
        stands(null, 1, 0, 3.5);
        await().until(() -> calledBack.size() == 4);
        assertThat(end.isDone()).isFalse();
        stands(null, 1, 0, 61);
        await().until(end::isDone);
        assertThat(ended().state()).isEqualTo("stopped");
    }

    @Test
    void aTakeThatWasTakenAwayEndsTheRunAndACancelStopsWhatTravels() {
        stands(null, 1, 0, 0);
        begin();
        await().until(() -> sent.size() == 4);
        running.cancel();
        await().until(() -> calledBack.size() == 4);
        assertThat(ended()).isEqualTo(MachineRun.End.CANCELLED);
        stands(null, 40, 0, 0);
        MachineRun.End gone = new ShotRunning(tools(), JOB, LIST, null, "").run(new Watched());
        assertThat(gone.state()).isEqualTo("stopped");
    }
}
