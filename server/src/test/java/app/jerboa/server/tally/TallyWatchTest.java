package app.jerboa.server.tally;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.clearInvocations;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.proof.Observed;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.knobs.TallyFetch;
import app.jerboa.server.profile.TestProfiles;
import app.jerboa.server.tally.TallyMapper.Source;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.WireLogs;
import app.jerboa.wire.link.WireLog;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** What a switcher says reaches the cameras at its inputs; silence is told once. */
class TallyWatchTest {
    private static final long JOB = 1;
    private static final long SWITCHER = 30;
    private static final Set<ItemKind> BARE = EnumSet.of(ItemKind.SITE, ItemKind.SUBNET);
    private static final DeviceId ID = new DeviceId(SWITCHER);

    private final Tallies tallies = mock();
    private final TallyMapper mapper = mock();
    private final MachineDesks desks = mock();
    private final Jobs jobs = mock();
    private final Contacts contacts = mock();
    private final WireLogs logs = mock();
    private final TallyFetch fetch = mock();
    private final AtomicReference<String> page = new AtomicReference<>("");
    private TallyWatch watch;

    private static Job demo(String profile) {
        List<Item> items =
                DemoItems.all().stream()
                        .map(i -> i.ref().id() == SWITCHER ? i.with(Field.PROFILE, profile) : i)
                        .toList();
        return new JobEditor(TestProfiles.profiles()).read(items);
    }

    private void begin(String profile, int port) {
        Job job = demo(profile);
        when(jobs.load(JOB)).thenReturn(new Jobs.Stored(JOB, 1, 200, job, Observed.NONE, 0));
        when(desks.openJobs()).thenReturn(Set.of(JOB));
        when(mapper.sources(any())).thenReturn(List.of(new Source(JOB, SWITCHER)));
        when(logs.of(anyLong(), anyLong())).thenReturn(new WireLog(10));
        when(contacts.answering(any(), any(), any()))
                .thenReturn(
                        Answering.of(
                                "Switcher",
                                "",
                                "127.0.0.1",
                                Map.of("web", port, "switcher", port)));
        when(fetch.fetch(any(), any(), any()))
                .thenAnswer(
                        i -> {
                            if (page.get().isEmpty()) {
                                throw new TallyFetch.NotSaid(new IOException("silent"));
                            }
                            return page.get();
                        });
        watch = new TallyWatch(tallies, mapper, desks, jobs, contacts, logs, fetch);
    }

    @AfterEach
    void end() {
        watch.close();
    }

    private void insistOnHearing(int programme, boolean changed) {
        verify(tallies, timeout(5_000).atLeastOnce()).heard(JOB, ID, programme, changed);
    }

    /** By the page of its profile, which counts from 0. */
    @Test
    void oneThatIsAskedOverHttp() {
        page.set("<p>programme input=2</p>");
        begin("computer-switcher", 8088);
        insistOnHearing(3, true);
        insistOnHearing(3, false);
        page.set("programme input=0");
        insistOnHearing(1, true);
        clearInvocations(tallies);
        page.set("");
        verify(tallies, timeout(10_000)).silent(JOB);
        page.set("programme input=0");
        insistOnHearing(1, true);
        verify(tallies, times(1)).silent(JOB);
    }

    @Test
    void oneThatTellsLinesOfText() throws IOException {
        AtomicInteger input = new AtomicInteger(4);
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            begin("sdi-switcher-8", server.getLocalPort());
            try (Socket socket = server.accept()) {
                Thread tells = new Thread(() -> answer(socket, input), "a switcher");
                tells.start();
                insistOnHearing(4, true);
                input.set(2);
                insistOnHearing(2, true);
            }
        }
    }

    /** It says what is on programme as often as it is asked. */
    private static void answer(Socket socket, AtomicInteger input) {
        try (BufferedReader asked =
                new BufferedReader(
                        new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = asked.readLine(); line != null; line = asked.readLine()) {
                assertThat(line).isEqualTo("{\"get\":\"state\"}");
                String state = "{\"programme\":" + input + "}\n";
                socket.getOutputStream().write(state.getBytes(StandardCharsets.UTF_8));
            }
        } catch (IOException over) {
            assertThat(socket.isClosed()).isTrue();
        }
    }

    @Test
    void oneThatLeftTheKitIsSilent() {
        page.set("programme input=2");
        begin("computer-switcher", 8088);
        insistOnHearing(3, true);
        Job without =
                new JobEditor(TestProfiles.profiles())
                        .read(
                                DemoItems.all().stream()
                                        .filter(i -> BARE.contains(i.ref().kind()))
                                        .toList());
        when(jobs.load(JOB)).thenReturn(new Jobs.Stored(JOB, 2, 200, without, Observed.NONE, 0));
        verify(tallies, timeout(10_000)).silent(JOB);
    }

    private void awaitLooks(int count) {
        clearInvocations(mapper);
        verify(mapper, timeout(10_000).atLeast(count)).sources(any());
    }

    /** Nobody drives, or it is said by hand again: nothing is asked any more. */
    @Test
    void oneThatNobodyWantsIsLeftAlone() {
        page.set("programme input=2");
        begin("computer-switcher", 8088);
        insistOnHearing(3, true);
        when(mapper.sources(any())).thenReturn(List.of());
        awaitLooks(2);
        clearInvocations(tallies, fetch);
        awaitLooks(3);
        verify(fetch, never()).fetch(any(), any(), any());
        verify(tallies, never()).heard(anyLong(), eq(ID), anyInt(), anyBoolean());
    }
}
