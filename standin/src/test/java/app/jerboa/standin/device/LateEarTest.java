package app.jerboa.standin.device;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.wire.octets.Octets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

/** Its clock is turned by hand: a piece is on its way until it has been. */
class LateEarTest {
    private final List<String> heard = new ArrayList<>();
    private final List<Runnable> due = new ArrayList<>();
    private final List<Integer> waits = new ArrayList<>();
    private int delay;

    private final LateEar ear =
            new LateEar(
                    new TcpPort.Ear() {
                        @Override
                        public void hear(Octets chunk, Consumer<Octets> reply) {
                            heard.add(chunk.toString());
                            reply.accept(chunk);
                        }

                        @Override
                        public void afresh() {
                            heard.add("afresh");
                        }
                    },
                    () -> delay,
                    (millis, task) -> {
                        waits.add(millis);
                        due.add(task);
                    });

    private void say(int octet) {
        ear.hear(Octets.of(octet), answer -> heard.add("answer " + answer));
    }

    private void arrive() {
        due.remove(0).run();
    }

    @Test
    void withoutATunnelItIsHeardAtOnce() {
        say(1);
        assertThat(heard).containsExactly("01", "answer 01");
        assertThat(due).isEmpty();
    }

    @Test
    void bothWaysAreWaitedForAndTheOrderIsKept() {
        delay = 40;
        say(1);
        delay = 0;
        say(2);
        assertThat(heard).isEmpty();
        assertThat(waits).containsExactly(80, 0);
        arrive();
        arrive();
        assertThat(heard).containsExactly("01", "answer 01", "02", "answer 02");
        say(3);
        assertThat(heard).endsWith("03", "answer 03");
    }

    /** The stand-ins have two threads for what is late. */
    @Test
    void piecesOfOneMomentAreHeardOneAfterTheOther() throws Exception {
        AtomicInteger inside = new AtomicInteger();
        List<Integer> order = new CopyOnWriteArrayList<>();
        List<Integer> overlaps = new CopyOnWriteArrayList<>();
        ScheduledExecutorService two = Executors.newScheduledThreadPool(2);
        LateEar busy =
                new LateEar(
                        new TcpPort.Ear() {
                            @Override
                            public void hear(Octets chunk, Consumer<Octets> reply) {
                                if (inside.incrementAndGet() > 1) {
                                    overlaps.add(chunk.at(0));
                                }
                                order.add(chunk.at(0));
                                linger();
                                inside.decrementAndGet();
                            }

                            @Override
                            public void afresh() {}
                        },
                        () -> 1,
                        (millis, task) -> two.schedule(task, millis, TimeUnit.MILLISECONDS));
        for (int i = 0; i < 200; i++) {
            busy.hear(Octets.of(i), answer -> {});
        }
        two.shutdown();
        assertThat(two.awaitTermination(10, TimeUnit.SECONDS)).isTrue();
        assertThat(overlaps).isEmpty();
        assertThat(order).isSorted().hasSize(200);
    }

    /** Long enough inside for another thread to come in too, if nothing kept it out. */
    private static void linger() {
        for (int i = 0; i < 2_000; i++) {
            Thread.onSpinWait();
        }
    }

    @Test
    void whatIsOnItsWayWhenTheLinkBreaksNeverArrives() {
        delay = 40;
        say(1);
        ear.afresh();
        say(2);
        arrive();
        assertThat(heard).containsExactly("afresh", "02", "answer 02");
        arrive();
        assertThat(heard).as("nothing is left").hasSize(3);
    }
}
