package app.jerboa.server.desk;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.jerboa.server.platform.OwnConnection;
import app.jerboa.server.platform.Settings;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.Health;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** One round of keeping leases, with three desks of one job. */
class LeaseKeepingTest {
    private static final long JOB = 7;

    private final Desks desks = mock();
    private final DeskMapper mapper = mock();
    private final OwnConnection own = mock();
    private final Settings settings = mock();
    private final List<Desk> open =
            IntStream.rangeClosed(1, 3).mapToObj(LeaseKeepingTest::desk).toList();

    private static Desk desk(int number) {
        Driving driving = mock();
        CameraLink camera =
                new CameraLink(
                        new CameraId(JOB, number),
                        "desk " + number,
                        "L" + number,
                        "ceiling-ptz",
                        null,
                        Optional.empty(),
                        null,
                        head(),
                        new WireLog(1));
        when(driving.camera()).thenReturn(Optional.of(camera));
        return Desk.of("desk " + number, "", mock(), mock(), driving);
    }

    private static HeadLink head() {
        Health health = mock();
        when(health.seen())
                .thenReturn(new Health.Seen(Health.State.UP, Instant.EPOCH, "", List.of(), 0));
        HeadLink head = mock();
        when(head.health()).thenReturn(health);
        return head;
    }

    private static DeskMapper.Renewed row(int desk, long stops, String askedBy) {
        return new DeskMapper.Renewed(
                JOB, "desk " + desk, stops, askedBy, askedBy == null ? null : 8);
    }

    /** The second one's was lost; somebody asks for the third one's. */
    @Test
    void whatWasRenewedIsKeptAndEachJobsStopsAreObeyedOnce() {
        when(desks.all()).thenReturn(List.of());
        when(settings.serverName()).thenReturn("here");
        LeaseKeeping keeping = new LeaseKeeping(desks, own, settings);
        keeping.close();
        when(desks.all()).thenReturn(open);
        when(own.with(eq(DeskMapper.class), any())).thenAnswer(call -> work(call.getArgument(1)));
        when(mapper.renew(eq("here"), any(), anyInt(), anyInt()))
                .thenReturn(List.of(row(1, 4, null), row(3, 5, "Mei Farrow")));
        keeping.renew();
        CameraLink first = link(0);
        CameraLink third = link(2);
        verify(open.get(0).driving).leaseRenewed(eq(first), anyLong());
        verify(open.get(1).driving, never()).leaseRenewed(any(), anyLong());
        verify(open.get(2).driving).leaseRenewed(eq(third), anyLong());
        verify(desks, times(1)).obey(anyLong(), anyLong());
        verify(desks).obey(JOB, 5);
        verify(open.get(0).screen, never()).tell(any());
        verify(open.get(2).screen).tell(any(DeskMessages.Asked.class));
    }

    private Object work(Function<DeskMapper, Object> work) {
        return work.apply(mapper);
    }

    private CameraLink link(int index) {
        return open.get(index).driving.camera().orElseThrow();
    }
}
