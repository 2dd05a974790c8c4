package app.jerboa.server.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.proof.Observed;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.knobs.StillFetch;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.server.world.Worlds;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class StillsTest {
    private final Job job = new JobEditor(TestProfiles.profiles()).read(DemoItems.all());
    private final Jobs.Stored stored = new Jobs.Stored(1, 1, 200, job, Observed.NONE, 0);
    private final StillFetch fetch = mock();
    private final StreamStill stream = mock();
    private final Worlds worlds = mock();
    private final Stills stills = new Stills(fetch, stream, worlds);
    private final ExecutorService pages = Executors.newCachedThreadPool();
    private final CountDownLatch slow = new CountDownLatch(1);

    private Device camera(long id) {
        return job.device(new DeviceId(id)).orElseThrow();
    }

    @AfterEach
    void end() {
        slow.countDown();
        pages.shutdownNow();
        stills.close();
    }

    @Test
    void howeverManyAskOneIsFetchedAndASlowCameraHoldsUpNoOther() throws Exception {
        AtomicInteger fetched = new AtomicInteger();
        when(fetch.fetch(stored, camera(7)))
                .thenAnswer(
                        i -> {
                            fetched.incrementAndGet();
                            slow.await();
                            return new byte[] {7};
                        });
        when(fetch.fetch(stored, camera(8))).thenReturn(new byte[] {8});
        List<Future<byte[]>> asked =
                IntStream.range(0, 10)
                        .mapToObj(i -> pages.submit(() -> stills.of(stored, camera(7))))
                        .toList();
        assertThat(stills.of(stored, camera(8))).containsExactly(8);
        slow.countDown();
        for (Future<byte[]> page : asked) {
            assertThat(page.get()).containsExactly(7);
        }
        assertThat(fetched).hasValue(1);
    }

    @Test
    void whatGaveNoneIsLeftAloneForAWhileAndSaysWhyEachTime() {
        AtomicInteger fetched = new AtomicInteger();
        StillFetch.NoStill none = mock();
        when(none.getMessage()).thenReturn("it is dark");
        when(fetch.fetch(stored, camera(7)))
                .thenAnswer(
                        i -> {
                            fetched.incrementAndGet();
                            throw none;
                        });
        for (int i = 0; i < 5; i++) {
            assertThatThrownBy(() -> stills.of(stored, camera(7)))
                    .isInstanceOf(Problem.class)
                    .hasMessage("it is dark");
        }
        assertThat(fetched).hasValue(1);
    }
}
