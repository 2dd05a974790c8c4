package app.jerboa.server.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.proof.Observed;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.people.Role;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.PluggedLeads;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.visca.PanTilt;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpStatus;

/** The rounds of a roll call through the demo, whose cameras answer as the test says. */
class RollCallTest {
    private static final long JOB = 1;

    private final Job demo = new JobEditor(TestProfiles.profiles()).read(DemoItems.all());
    private final Desks desks = mock();
    private final CameraLinks links = mock();
    private final Contacts contacts = mock();
    private final Gates gates = mock();
    private final Jobs jobs = mock();
    private final Live live = mock();
    private final AtomicLong clock = new AtomicLong();

    /** Who was asked, in order. */
    private final Queue<String> asked = new ConcurrentLinkedQueue<>();

    private final Set<String> gone = ConcurrentHashMap.newKeySet();
    private RollCall rollCall;

    @BeforeEach
    void everyCameraAnswers() {
        when(jobs.load(JOB)).thenReturn(new Jobs.Stored(JOB, 1, 200, demo, Observed.NONE, 0));
        when(gates.said(JOB)).thenReturn(Map.of());
        when(contacts.ways(any())).thenReturn(DeskWays.of(demo));
        when(links.told(any(), any())).thenAnswer(call -> link(call.getArgument(1)));
        opened();
    }

    @AfterEach
    void close() {
        rollCall.close();
    }

    private HeadLink link(Device camera) {
        asked.add(camera.name());
        if (gone.contains(camera.name())) {
            throw new Problem(HttpStatus.CONFLICT, "cannot-reach", camera.name() + " is silent.");
        }
        HeadLink link = mock();
        when(link.askPanTilt(true))
                .thenReturn(CompletableFuture.completedFuture(new PanTilt(0, 0)));
        return link;
    }

    private void opened() {
        Desk desk = Desk.of("d", "", mock(), mock(), mock());
        desk.open(JOB, Role.TECHNICIAN, 0);
        when(desks.all()).thenReturn(List.of(desk));
    }

    private void begins() {
        rollCall =
                new RollCall(
                        desks,
                        links,
                        contacts,
                        gates,
                        jobs,
                        live,
                        new PluggedLeads(),
                        Duration.ofMillis(50),
                        clock::get);
    }

    private Presence of(String name) {
        return rollCall.of(new CameraId(JOB, device(name)));
    }

    private long device(String name) {
        return demo.devices().stream()
                .filter(d -> d.name().equals(name))
                .mapToLong(d -> d.id().value())
                .findFirst()
                .orElseThrow();
    }

    private void nextRound(int askedThen) {
        asked.clear();
        clock.addAndGet(TimeUnit.SECONDS.toNanos(11));
        await().until(() -> asked.size() >= askedThen);
    }

    /** All with a way that may be asked; L11 and L12 share a number, so that neither has one. */
    @Test
    void whoIsIdleAndCanBeAskedIsAsked() {
        when(gates.said(JOB))
                .thenReturn(
                        Map.of(
                                device("L2"),
                                new GateMapper.Said(
                                        device("L2"), true, false, "Mei Farrow", "up", "")));
        gone.add("L5");
        begins();
        await().untilAsserted(() -> assertThat(of("L14").state()).isEqualTo("up"));
        await().untilAsserted(() -> assertThat(of("L5").state()).isEqualTo("lost"));
        assertThat(of("L5").why()).isEqualTo("L5 is silent.");
        assertThat(of("L1").state()).isEqualTo("up");
        assertThat(asked)
                .contains("L1", "L7", "L10")
                .doesNotContain("L2", "L8", "L9", "L11", "L12");
        assertThat(of("L2")).isEqualTo(Presence.UNKNOWN);
    }

    /** Pages are told what came or went, not that all is as it was. */
    @Test
    void pagesAreToldWhatChangedOnly() {
        begins();
        verifyTold(1);
        int all = asked.size();
        nextRound(all);
        gone.add("L3");
        nextRound(all);
        await().untilAsserted(() -> assertThat(of("L3").state()).isEqualTo("lost"));
        verifyTold(2);
        nextRound(all);
        gone.clear();
        nextRound(all);
        await().untilAsserted(() -> assertThat(of("L3").state()).isEqualTo("up"));
        verifyTold(3);
    }

    private void verifyTold(int times) {
        await().untilAsserted(() -> verify(live, times(times)).changed(JOB, Notice.DRIVERS));
    }

    /** Who is asked is named once a round, however often it is looked who is due. */
    @Test
    void aJobThatNobodyHasOpenIsForgotten() {
        begins();
        await().untilAsserted(() -> assertThat(of("L1").state()).isEqualTo("up"));
        Map<String, Long> times =
                asked.stream().collect(Collectors.groupingBy(n -> n, Collectors.counting()));
        assertThat(times.values()).containsOnly(1L);
        when(desks.all()).thenReturn(List.of());
        await().untilAsserted(() -> assertThat(of("L1")).isEqualTo(Presence.UNKNOWN));
    }

    /** A job that cannot be read now is called again when it is due. */
    @Test
    void aFailureKeepsNoLaterRoundFromIt() {
        when(jobs.load(JOB))
                .thenThrow(new IllegalStateException("the database is gone"))
                .thenReturn(new Jobs.Stored(JOB, 1, 200, demo, Observed.NONE, 0));
        begins();
        await().untilAsserted(() -> verify(jobs).load(JOB));
        assertThat(asked).isEmpty();
        nextRound(1);
        await().untilAsserted(() -> assertThat(of("L1").state()).isEqualTo("up"));
    }
}
