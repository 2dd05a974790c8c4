package app.jerboa.e2e.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.KeyboardModifier;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** A room from nothing: the house from print-outs, the kit by keyboard and out of a list. */
class KitJourney extends Jerboa {
    private static final String ARP_LABEL =
            "Paste what ip neigh or arp -a prints, or a list of leases";
    private static final String INTERFACE_LABEL =
            "Paste what ip addr, ifconfig or ipconfig prints on the laptop";

    @Test
    void nineCamerasFromNothingInUnderFortyActionsHalfByKeyboard() {
        Hands hands = new Hands(desk);
        hands.newJob("Room of nine");
        hands.press("]");
        hands.click("From this laptop’s print-out …");
        hands.type(
                "inet 10.10.0.90/24 brd 10.10.0.255 scope global eth0\ndefault via 10.10.0.1 dev eth0");
        hands.click(desk.button("Read it").first());
        hands.click("Use this network …");
        hands.click("Apply");
        hands.click(desk.page.getByLabel(ARP_LABEL));
        hands.type("10.10.0.22 dev eth0 lladdr 02:11:22:33:44:55 STALE");
        hands.click(desk.button("Read it").last());
        hands.click("Note 1 as taken");
        assertThat(desk.page.getByLabel("House addresses")).containsText("10.10.0.22");
        desk.page.locator("body").click();
        hands.press("]");
        assertThat(desk.page.getByText("Nothing is on the van yet")).isVisible();
        hands.press("/");
        hands.add("poe switch 24", 1);
        hands.add("ip stick 100", 2);
        hands.add("paint server", 3);
        hands.add("6 ceiling ptz 20x", 9);
        hands.add("2 shoulder camera", 11);
        hands.add("cinema head", 12);
        Assertions.assertThat(hands.all()).as("actions").isLessThan(40);
        Assertions.assertThat(hands.keyboard()).as("by keyboard").isGreaterThan(hands.all() / 2);

        assertThat(desk.page.locator("table[aria-label=Kit]")).hasAttribute("aria-rowcount", "13");
        desk.page.locator("main h1").click();
        desk.page.keyboard().press("]");
        assertThat(desk.page.getByText("No runs yet")).isVisible();
        desk.page.keyboard().press("]");
        assertThat(desk.row("L1")).containsText("10.10.0.23");
        assertThat(desk.row("L9")).containsText("10.10.0.21");
        assertThat(desk.page.locator("aside [data-code=ADDR-RIVALS]")).hasCount(2);
    }

    private static final List<String> ARP_IN_THREE_SYSTEMS =
            List.of(
                    "10.44.8.41 dev eth0 lladdr 02:11:22:33:44:41 STALE",
                    "? (10.44.8.42) at 2:11:22:33:44:42 on en0 ifscope [ethernet]",
                    "Interface: 10.44.8.81 --- 0x4\n  Internet Address      Physical Address      Type\n  10.44.8.43            02-11-22-33-44-43     dynamic");
    private static final List<String> INTERFACE_IN_THREE_SYSTEMS =
            List.of(
                    "2: eth0: <UP>\n    inet 10.44.8.91/24 brd 10.44.8.255 scope global eth0\ndefault via 10.44.8.254 dev eth0",
                    "en0: flags=8863<UP>\n\tinet 10.44.8.92 netmask 0xffffff00 broadcast 10.44.8.255",
                    "   IPv4 Address. . . . . . . . . . . : 10.44.8.93\n   Subnet Mask . . . . . . . . . . . : 255.255.255.0\n   Default Gateway . . . . . . . . . : 10.44.8.254");

    @Test
    void printOutsOfThreeSystemsAreReadAlike() {
        desk.open(desk.freshJob(), "site");
        desk.press("From this laptop’s print-out …");
        for (int i = 0; i < 3; i++) {
            desk.page.getByLabel(INTERFACE_LABEL).fill(INTERFACE_IN_THREE_SYSTEMS.get(i));
            desk.button("Read it").first().click();
            assertThat(desk.page.getByText("10.44.8.9" + (i + 1)).last()).isVisible();
            desk.page.getByLabel(ARP_LABEL).fill(ARP_IN_THREE_SYSTEMS.get(i));
            desk.button("Read it").last().click();
            assertThat(desk.row("10.44.8.4" + (i + 1))).containsText("02:11:22:33:44:4" + (i + 1));
        }
    }

    @Test
    void habitsChangePlanAndFindingsAtOnce() {
        desk.open(desk.freshJob(), "site");
        Locator practices = desk.page.getByLabel("Working practice");
        desk.press("Change: Control wiring");
        option("IP").click();
        assertThat(practices).containsText("Without it: L10, L11, L12, L13");
        desk.press("Change: Numbering");
        option("letters: LA, LB, LC").click();
        assertThat(desk.page.locator("aside [data-code=NAME-HABIT]")).containsText("LA");
        desk.press("Change: Usual length of a run");
        desk.page.getByLabel("Usual length of a run", exact()).fill("80ft");
        desk.page.keyboard().press("Enter");
        assertThat(desk.button("Change: Usual length of a run")).hasText("24.4 m");
        desk.press("Another network …");
        desk.page.getByLabel("Network *", exact()).fill("10.44.8.128/25");
        desk.page.getByLabel("Gateway *", exact()).fill("10.44.8.129");
        desk.page.getByLabel("This laptop *", exact()).fill("10.44.8.130");
        desk.button("Add").first().click();
        assertThat(desk.page.getByRole(AriaRole.ALERT)).containsText("overlaps 10.44.8.0/24");
        desk.page.getByLabel("Network *", exact()).fill("10.60.0.0/24");
        desk.page.getByLabel("VLAN", exact()).fill("60");
        desk.button("Add").first().click();
        assertThat(desk.button("Remove 10.60.0.0/24")).isVisible();
    }

    private static Page.GetByLabelOptions exact() {
        return new Page.GetByLabelOptions().setExact(true);
    }

    private static Locator option(String name) {
        return desk.page.getByRole(
                AriaRole.OPTION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void aListWithBadRowsKeepsTheGoodOnes() {
        desk.open(desk.freshJob(), "kit");
        assertThat(desk.row("L1")).isVisible();
        String list =
                "Position\tModel\tMAC\tS/N\tQty\nStage\tceiling ptz 20x\t02-4A-20-00-01-01\tQH-301\t\nWings\tCeiling PTZ 20x, PoE\t02-4A-20-00-00-01\t\t\nL8\t\t024a.2000.0108\tQH-508\t\n\tgame pad\t\t\t2\nTower\tperiscope\t\t\t\n";
        desk.page.evaluate(
                "text => { const data = new DataTransfer(); data.setData('text/plain', text);"
                        + " document.body.dispatchEvent(new ClipboardEvent('paste',"
                        + " { clipboardData: data, bubbles: true })) }",
                list);
        assertThat(desk.page.getByText("2 rows are left out:")).isVisible();
        assertThat(desk.page.getByLabel("Left out"))
                .containsText("L1 has the MAC 02:4a:20:00:00:01 already");
        assertThat(desk.page.getByLabel("Left out")).containsText("no profile goes by");
        desk.press("Add 3, change 1");
        desk.page.getByLabel("Find on the van").fill("qh-");
        assertThat(desk.row("Stage")).containsText("02:4a:20:00:01:01");
        assertThat(desk.row("L8")).containsText("QH-508");
        desk.press("Undo");
        assertThat(desk.row("Stage")).hasCount(0);
        desk.page.getByLabel("Find on the van").fill("ceiling");
        desk.page.getByLabel("Tick L1", exact()).click();
        desk.page
                .getByLabel("Tick L6", exact())
                .click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
        desk.page.getByLabel("to", exact()).click();
        option("second-hand").click();
        desk.press("Set");
        assertThat(desk.row("L4")).containsText("second-hand");
        desk.page.getByText("Before the van leaves").click();
        assertThat(desk.page.getByLabel("To reset, since somebody had it before"))
                .containsText("second-hand: reset, then its network and users");
        Locator tick = desk.page.getByLabel("newest firmware file, on a stick, Ceiling PTZ 20x");
        tick.first().click();
        assertThat(desk.page.getByText("ticked by Asha Lindqvist")).isVisible();
    }

    @Test
    void aProfileIsCopiedRefusedPutRightCarriedAndUsed() throws IOException {
        desk.open(desk.freshJob(), "kit");
        desk.press("Facts of L1");
        assertThat(desk.page.getByLabel("Profile", exact()))
                .containsText("Every one starts on 192.168.77.10");
        Download file =
                desk.page.waitForDownload(() -> desk.page.getByText("Save as file").click());
        byte[] saved = Files.readAllBytes(file.path());
        Assertions.assertThat(file.suggestedFilename()).isEqualTo("ceiling-ptz.profile.json");
        desk.press("Copy and change …");
        desk.page.getByLabel("Most *").first().fill("5000");
        desk.press("Keep this profile");
        assertThat(desk.page.getByText("must have a maximum value of 1000").first()).isVisible();
        desk.page.getByLabel("Most *").first().fill("19.5");
        desk.press("Keep this profile");
        assertThat(desk.page.locator("[data-profile=ceiling-ptz-2]")).containsText("of this job");
        desk.page.keyboard().press("Escape");
        desk.page.getByLabel("How many of what").fill("2 own");
        desk.page.keyboard().press("Enter");
        desk.page.getByLabel("Find on the van").fill("own");
        assertThat(desk.row("L16")).containsText("Ceiling PTZ 20x, PoE (own)");

        desk.press("Profile from a file …");
        String other =
                new String(saved, StandardCharsets.UTF_8)
                        .replace("\"ceiling-ptz\"", "\"from-a-file\"")
                        .replaceFirst("\"id\" : \"[^\"]+\"", "\"id\" : \"from-a-file\"")
                        .replace("\"sort\" : \"from-a-file\"", "\"sort\" : \"ceiling-ptz\"");
        desk.page
                .locator("[role=dialog] input[type=file]")
                .setInputFiles(
                        new FilePayload(
                                "x.profile.json",
                                "application/json",
                                other.getBytes(StandardCharsets.UTF_8)));
        desk.press("Keep this profile");
        assertThat(desk.page.locator("[data-profile=from-a-file]")).isVisible();
    }
}
