package app.jerboa.server.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.TextRejected;
import app.jerboa.server.job.EmptyJob;
import app.jerboa.server.profile.TestProfiles;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is contacted on the live network, and what never is. */
class AllowRuleTest {
    /** L1 at 10.44.8.21; its profile starts on 192.168.77.10; a till at 203.0.113.9. */
    private static final Job JOB = job("10.44.8.21", "203.0.113.9", "127.44.8.21", "224.0.0.5");

    private static Job job(String... addresses) {
        List<Item> items =
                new ArrayList<>(
                        EmptyJob.items(
                                "Hall",
                                "m",
                                Ipv4Subnet.parse("10.44.8.0/24"),
                                Ipv4.parse("10.44.8.254")));
        for (String address : addresses) {
            int id = items.size() + 1;
            items.add(
                    new Item(
                            new ItemRef(ItemKind.DEVICE, id),
                            Map.of(
                                    Field.NAME,
                                    "L" + id,
                                    Field.PROFILE,
                                    "ceiling-ptz",
                                    Field.ADDRESS,
                                    address,
                                    Field.PREFIX,
                                    "24")));
        }
        return new JobEditor(TestProfiles.profiles()).read(items);
    }

    @ParameterizedTest
    @CsvSource({
        "10.44.8.21, , yes",
        "192.168.77.10, , yes",
        "10.44.8.22, , no device of this job",
        "10.44.8.0, , no single device",
        "10.44.8.255, , no single device",
        "203.0.113.9, , in no private",
        "203.0.113.9, 203.0.113.0/24, yes",
        "224.0.0.5, , in no private",
        "127.44.8.21, , in no private",
        "127.44.8.21, 127.44.8.0/24, yes",
        "127.0.0.1, 127.44.8.0/24, in no private",
        "169.254.3.4, , no device of this job",
        "8.8.8.8, , in no private",
        "0.0.0.0, , in no private",
        "255.255.255.255, , in no private",
    })
    void contactsOnlyWhatTheJobPlansInARangeThatIsAllowed(
            String address, String more, String expected) {
        var refusal = new AllowRule(more == null ? "" : more).refusal(JOB, Ipv4.parse(address));
        if (expected.equals("yes")) {
            assertThat(refusal).isEmpty();
        } else {
            assertThat(refusal).get().asString().contains(expected);
        }
    }

    /** Whatever address comes: what is allowed is one of the job's. */
    @Test
    void nothingElseIsEverAllowed() {
        AllowRule rule = new AllowRule("0.0.0.0/8, 203.0.113.0/24");
        Random random = new Random(5);
        for (int i = 0; i < 100_000; i++) {
            Ipv4 address = new Ipv4(random.nextInt() & 0xFFFF_FFFFL);
            boolean planned =
                    List.of("10.44.8.21", "203.0.113.9", "192.168.77.10")
                            .contains(address.toString());
            assertThat(rule.refusal(JOB, address).isEmpty()).isEqualTo(planned);
        }
    }

    @Test
    void aRangeThatIsNoneIsToldAtTheStart() {
        assertThatThrownBy(() -> new AllowRule("10.1.2.3/33")).isInstanceOf(TextRejected.class);
    }

    @Test
    void theNeighbourTableSaysWhoIsThere(@TempDir Path folder) throws Exception {
        Path table = folder.resolve("arp");
        Files.writeString(
                table,
                """
                IP address       HW type     Flags       HW address            Mask     Device
                10.44.8.21       0x1         0x2         02:4A:20:00:00:01     *        eth0
                10.44.8.22       0x1         0x0         00:00:00:00:00:00     *        eth0
                10.44.8.23       0x1         what        02:4a:20:00:00:03     *        eth0
                """);
        Neighbours neighbours = new Neighbours(table);
        assertThat(neighbours.of(Ipv4.parse("10.44.8.21")))
                .isEqualTo(new Neighbours.Entry.Known("02:4a:20:00:00:01"));
        assertThat(neighbours.of(Ipv4.parse("10.44.8.22")))
                .isEqualTo(new Neighbours.Entry.Nobody());
        assertThat(neighbours.of(Ipv4.parse("10.44.8.23")))
                .isEqualTo(new Neighbours.Entry.Nobody());
        assertThat(neighbours.of(Ipv4.parse("10.44.8.24")))
                .isEqualTo(new Neighbours.Entry.Unknown());
        assertThat(new Neighbours(folder.resolve("none")).of(Ipv4.parse("10.44.8.21")))
                .isEqualTo(new Neighbours.Entry.Unknown());
    }
}
