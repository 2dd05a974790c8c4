package app.jerboa.bench;

import static app.jerboa.bench.Pauses.pause;

import app.jerboa.e2e.harness.DeskLine;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLongArray;
import java.util.concurrent.locks.LockSupport;

/** From a message until its frame is at the head, one desk that drives all the time. */
final class OneDesk {
    private final HeadSinks sinks;

    OneDesk(HeadSinks sinks) {
        this.sinks = sinks;
    }

    /**
     * @param bare the same messages to a bare socket that sends one datagram for each
     * @param endpoint the same to a bare WebSocket of the container that the desk is in
     */
    record Times(Sample bare, Sample endpoint, Sample stick) {}

    /** In turns, so that all meet the same moments of a machine that others use too. */
    Times measured(DeskLine desk, int turns, int messages) throws IOException {
        List<Sample> bares = new ArrayList<>();
        List<Sample> endpoints = new ArrayList<>();
        List<Sample> sticks = new ArrayList<>();
        try (BareSocket socket = new BareSocket(HeadSinks.address(1));
                DeskLine bare = new DeskLine(socket.url(), "", 64 * 1024);
                BareEndpoint container = new BareEndpoint(HeadSinks.address(2));
                DeskLine endpoint = new DeskLine(container.url(), "", 64 * 1024)) {
            oneByOne(desk, 0, messages);
            oneByOne(bare, 1, messages);
            oneByOne(endpoint, 2, messages);
            for (int i = 0; i < turns; i++) {
                sticks.add(oneByOne(desk, 0, messages));
                bares.add(oneByOne(bare, 1, messages));
                endpoints.add(oneByOne(endpoint, 2, messages));
            }
        }
        return new Times(Sample.of(bares), Sample.of(endpoints), Sample.of(sticks));
    }

    private Sample oneByOne(DeskLine line, int at, int rounds) {
        AtomicLongArray heard = new AtomicLongArray(DeskBench.CAMERAS);
        sinks.listen((head, nanos, pan) -> heard.set(head, nanos));
        double[] millis = new double[rounds];
        for (int i = 0; i < rounds; i++) {
            pause(15);
            long sent = System.nanoTime();
            line.send(DeskBench.stick(i % 2 == 0 ? 0.5 : 0.9));
            while (heard.get(at) < sent && System.nanoTime() - sent < 1_000_000_000L) {
                LockSupport.parkNanos(20_000);
            }
            millis[i] = (heard.get(at) - sent) / 1e6;
        }
        line.release();
        return Sample.of(millis);
    }
}
