package app.jerboa.bench;

import app.jerboa.wire.dprotocol.DForm;
import app.jerboa.wire.dprotocol.DFramer;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaFramer;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import com.sun.management.ThreadMXBean;
import java.lang.management.ManagementFactory;
import java.util.Arrays;
import java.util.Random;
import java.util.function.IntUnaryOperator;

/** Frames made and read, beside copying as many octets; and any octets at all thrown at readers. */
final class CodecBench {
    private static final int WARM_UP = 2_000_000;
    private static final int ROUNDS = 5_000_000;

    private CodecBench() {}

    /**
     * @param nanos of one frame
     * @param octets allocated for it
     */
    record Cost(double nanos, double octets) {}

    /** Keeps the work from being left out: nobody reads it. */
    @SuppressWarnings("UnusedVariable")
    private static volatile int sink;

    private static Cost cost(IntUnaryOperator frame) {
        sink = run(frame, WARM_UP);
        ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
        double best = Double.MAX_VALUE;
        double allocated = 0;
        for (int i = 0; i < 5; i++) {
            long before = threads.getCurrentThreadAllocatedBytes();
            long start = System.nanoTime();
            sink = run(frame, ROUNDS);
            best = Math.min(best, (double) (System.nanoTime() - start) / ROUNDS);
            allocated = (double) (threads.getCurrentThreadAllocatedBytes() - before) / ROUNDS;
        }
        return new Cost(best, allocated);
    }

    private static int run(IntUnaryOperator frame, int rounds) {
        int all = 0;
        for (int i = 0; i < rounds; i++) {
            all += frame.applyAsInt(i);
        }
        return all;
    }

    /** Nine octets copied out and in again, as a frame is. */
    static Cost copied() {
        byte[] nine = {(byte) 0x81, 1, 6, 1, 24, 20, 2, 3, (byte) 0xFF};
        return cost(
                i -> {
                    nine[4] = (byte) i;
                    byte[] out = Arrays.copyOf(nine, nine.length);
                    byte[] in = Arrays.copyOf(out, out.length);
                    return in[4];
                });
    }

    static Cost drive() {
        return cost(
                i -> {
                    Octets frame = new ViscaRequest.Drive(i % 24, i % 20).encode(1);
                    return ViscaRequest.decode(frame).toOptional().orElseThrow().camera();
                });
    }

    /** Random and broken octets through every reader; how many were frames. */
    static long fuzz(int inputs) {
        Random random = new Random(15);
        ViscaFramer visca = new ViscaFramer();
        DFramer bus = new DFramer(DForm.D);
        long frames = 0;
        for (int i = 0; i < inputs; i++) {
            byte[] octets = new byte[1 + random.nextInt(20)];
            random.nextBytes(octets);
            if ((i & 3) == 0) {
                octets[0] = (byte) (0x80 + random.nextInt(9));
                octets[octets.length - 1] = (byte) 0xFF;
            }
            Octets frame = Octets.of(octets);
            frames += ViscaRequest.decode(frame).toOptional().isPresent() ? 1 : 0;
            frames += ViscaReply.decode(frame).toOptional().isPresent() ? 1 : 0;
            frames += DForm.D.decode(frame).toOptional().isPresent() ? 1 : 0;
            frames += visca.accept(octets).size() + bus.accept(octets).size();
        }
        return frames;
    }
}
