package app.jerboa.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class WorkedTest {
    private final Worked worked = new Worked();
    private final AtomicInteger times = new AtomicInteger();

    private String counted(String what) {
        times.incrementAndGet();
        return what;
    }

    @Test
    void worksOnceForAllWhoAskAtATime() {
        CompletableFuture<?>[] asking = new CompletableFuture<?>[8];
        for (int i = 0; i < asking.length; i++) {
            asking[i] =
                    CompletableFuture.runAsync(
                            () -> worked.get(String.class, () -> counted("routes")));
        }
        CompletableFuture.allOf(asking).join();
        assertThat(times.get()).isEqualTo(1);
    }

    @Test
    void handsOnWhatNothingTouchedCouldChange() {
        Parts devices = Parts.of(ItemKind.DEVICE);
        worked.get("kit", devices, String.class, before -> counted("kit"));
        worked.get(Integer.class, () -> 7);
        Worked next = worked.after(Parts.of(ItemKind.RUN));
        assertThat(next.get("kit", devices, String.class, before -> counted("anew")))
                .isEqualTo("kit");
        assertThat(next.get(Integer.class, () -> 8)).isEqualTo(8);
        Worked later = next.after(devices);
        assertThat(
                        later.get(
                                "kit",
                                devices,
                                String.class,
                                before -> counted("anew after " + before.orElse("nothing"))))
                .isEqualTo("anew after kit");
        Worked apart = later.after(devices).after(devices);
        assertThat(apart.get("kit", devices, String.class, before -> before.orElse("not known")))
                .as("what was not worked out in between is not handed on")
                .isEqualTo("not known");
    }

    /** Work may ask for other things of the same job, and a change does not wait for it. */
    @Test
    void aChangeDoesNotWaitForWorkUnderWay() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch changed = new CountDownLatch(1);
        CompletableFuture<String> work =
                CompletableFuture.supplyAsync(
                        () ->
                                worked.get(
                                        String.class,
                                        () -> {
                                            begun.countDown();
                                            await(changed);
                                            return "seven is " + worked.get(Integer.class, () -> 7);
                                        }));
        await(begun);
        CompletableFuture<Worked> next =
                CompletableFuture.supplyAsync(() -> worked.after(Parts.of(ItemKind.RUN)));
        assertThat(next.get(10, TimeUnit.SECONDS)).isNotNull();
        changed.countDown();
        assertThat(work.get(10, TimeUnit.SECONDS)).isEqualTo("seven is 7");
    }

    @Test
    void whatFailsIsTriedAgain() {
        try {
            worked.get(
                    String.class,
                    () -> {
                        throw new IllegalStateException("not now");
                    });
        } catch (IllegalStateException notNow) {
            times.incrementAndGet();
        }
        assertThat(worked.get(String.class, () -> counted("now"))).isEqualTo("now");
        assertThat(times.get()).isEqualTo(2);
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(10, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
