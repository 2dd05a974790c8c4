package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;

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
        CountedActions hands = new CountedActions(user);
        hands.newJob("Room of nine");
        hands.press("]");
        hands.click("From this laptop’s print-out …");
        hands.type(
                "inet 10.10.0.90/24 brd 10.10.0.255 scope global eth0\ndefault via 10.10.0.1 dev eth0");
        hands.click(user.button("Read it").first());
        hands.click("Use this network …");
        hands.click("Apply");
        hands.click(user.page.getByLabel(ARP_LABEL));
        hands.type("10.10.0.22 dev eth0 lladdr 02:11:22:33:44:55 STALE");
        hands.click(user.button("Read it").last());
        hands.click("Note 1 as taken");
        assertThat(user.page.getByLabel("House addresses")).containsText("10.10.0.22");
        user.page.locator("body").click();
        hands.press("]");
        assertThat(user.page.getByText("Nothing is on the van yet")).isVisible();
        hands.press("/");
        hands.add("poe switch 24", 1);
        hands.add("ip stick 100", 2);
        hands.add("paint server", 3);
        hands.add("6 ceiling ptz 20x", 9);
        hands.add("2 shoulder camera", 11);
        hands.add("cinema head", 12);
        Assertions.assertThat(hands.all()).as("actions").isLessThan(40);
        Assertions.assertThat(hands.keyboard()).as("by keyboard").isGreaterThan(hands.all() / 2);

        assertThat(user.page.locator("table[aria-label=Kit]")).hasAttribute("aria-rowcount", "13");
        user.page.locator("main h1").click();
        user.page.keyboard().press("]");
        assertThat(user.page.getByText("No runs yet")).isVisible();
        user.page.keyboard().press("]");
        assertThat(user.row("L1")).containsText("10.10.0.23");
        assertThat(user.row("L9")).containsText("10.10.0.21");
        assertThat(user.page.locator("aside [data-code=ADDR-RIVALS]")).hasCount(2);
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
        user.open(user.freshJob(), "site");
        user.press("From this laptop’s print-out …");
        for (int i = 0; i < 3; i++) {
            user.page.getByLabel(INTERFACE_LABEL).fill(INTERFACE_IN_THREE_SYSTEMS.get(i));
            user.button("Read it").first().click();
            assertThat(user.page.getByText("10.44.8.9" + (i + 1)).last()).isVisible();
            user.page.getByLabel(ARP_LABEL).fill(ARP_IN_THREE_SYSTEMS.get(i));
            user.button("Read it").last().click();
            assertThat(user.row("10.44.8.4" + (i + 1))).containsText("02:11:22:33:44:4" + (i + 1));
        }
    }

    @Test
    void habitsChangePlanAndFindingsAtOnce() {
        user.open(user.freshJob(), "site");
        Locator practices = user.page.getByLabel("Working practice");
        user.press("Change: Control wiring");
        option("IP").click();
        assertThat(practices).containsText("Without it: L10, L11, L12, L13");
        user.press("Change: Numbering");
        option("letters: LA, LB, LC").click();
        assertThat(user.page.locator("aside [data-code=NAME-HABIT]")).containsText("LA");
        user.press("Change: Usual length of a run");
        user.page.getByLabel("Usual length of a run", exact()).fill("80ft");
        user.page.keyboard().press("Enter");
        assertThat(user.button("Change: Usual length of a run")).hasText("24.4 m");
        user.press("Another network …");
        user.page.getByLabel("Network *", exact()).fill("10.44.8.128/25");
        user.page.getByLabel("Gateway *", exact()).fill("10.44.8.129");
        user.page.getByLabel("This laptop *", exact()).fill("10.44.8.130");
        user.button("Add").first().click();
        assertThat(user.page.getByRole(AriaRole.ALERT)).containsText("overlaps 10.44.8.0/24");
        user.page.getByLabel("Network *", exact()).fill("10.60.0.0/24");
        user.page.getByLabel("VLAN", exact()).fill("60");
        user.button("Add").first().click();
        assertThat(user.button("Remove 10.60.0.0/24")).isVisible();
    }

    private static Page.GetByLabelOptions exact() {
        return new Page.GetByLabelOptions().setExact(true);
    }

    private static Locator option(String name) {
        return user.page.getByRole(
                AriaRole.OPTION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void aListWithBadRowsKeepsTheGoodOnes() {
        user.open(user.freshJob(), "kit");
        assertThat(user.row("L1")).isVisible();
        String list =
                "Position\tModel\tMAC\tS/N\tQty\nStage\tceiling ptz 20x\t02-4A-20-00-01-01\tQH-301\t\nWings\tCeiling PTZ 20x, PoE\t02-4A-20-00-00-01\t\t\nL8\t\t024a.2000.0108\tQH-508\t\n\tgame pad\t\t\t2\nTower\tperiscope\t\t\t\n";
        user.page.evaluate(
                "text => { const data = new DataTransfer(); data.setData('text/plain', text);"
                        + " document.body.dispatchEvent(new ClipboardEvent('paste',"
                        + " { clipboardData: data, bubbles: true })) }",
                list);
        assertThat(user.page.getByText("2 rows are left out:")).isVisible();
        assertThat(user.page.getByLabel("Left out"))
                .containsText("L1 has the MAC 02:4a:20:00:00:01 already");
        assertThat(user.page.getByLabel("Left out")).containsText("no profile goes by");
        user.press("Add 3, change 1");
        user.page.getByLabel("Find on the van").fill("qh-");
        assertThat(user.row("Stage")).containsText("02:4a:20:00:01:01");
        assertThat(user.row("L8")).containsText("QH-508");
        user.press("Undo");
        assertThat(user.row("Stage")).hasCount(0);
        user.page.getByLabel("Find on the van").fill("ceiling");
        user.page.getByLabel("Tick L1", exact()).click();
        user.page
                .getByLabel("Tick L6", exact())
                .click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
        user.page.getByLabel("to", exact()).click();
        option("second-hand").click();
        user.press("Set");
        assertThat(user.row("L4")).containsText("second-hand");
        user.page.getByText("Before the van leaves").click();
        assertThat(user.page.getByLabel("To reset, since somebody had it before"))
                .containsText("second-hand: reset, then its network and users");
        Locator tick = user.page.getByLabel("newest firmware file, on a stick, Ceiling PTZ 20x");
        tick.first().click();
        assertThat(user.page.getByText("ticked by Asha Lindqvist")).isVisible();
    }

    @Test
    void aProfileIsCopiedRefusedPutRightCarriedAndUsed() throws IOException {
        user.open(user.freshJob(), "kit");
        user.press("Facts of L1");
        assertThat(user.page.getByLabel("Profile", exact()))
                .containsText("Every one starts on 192.168.77.10");
        Download file =
                user.page.waitForDownload(() -> user.page.getByText("Save as file").click());
        byte[] saved = Files.readAllBytes(file.path());
        Assertions.assertThat(file.suggestedFilename()).isEqualTo("ceiling-ptz.profile.json");
        user.press("Copy and change …");
        user.page.getByLabel("Most *").first().fill("5000");
        user.press("Keep this profile");
        assertThat(user.page.getByText("must have a maximum value of 1000").first()).isVisible();
        user.page.getByLabel("Most *").first().fill("19.5");
        user.press("Keep this profile");
        assertThat(user.page.locator("[data-profile=ceiling-ptz-2]")).containsText("of this job");
        user.page.keyboard().press("Escape");
        user.page.getByLabel("How many of what").fill("2 own");
        user.page.keyboard().press("Enter");
        user.page.getByLabel("Find on the van").fill("own");
        assertThat(user.row("L16")).containsText("Ceiling PTZ 20x, PoE (own)");

        user.press("Profile from a file …");
        String other =
                new String(saved, StandardCharsets.UTF_8)
                        .replace("\"ceiling-ptz\"", "\"from-a-file\"")
                        .replaceFirst("\"id\" : \"[^\"]+\"", "\"id\" : \"from-a-file\"")
                        .replace("\"sort\" : \"from-a-file\"", "\"sort\" : \"ceiling-ptz\"");
        user.page
                .locator("[role=dialog] input[type=file]")
                .setInputFiles(
                        new FilePayload(
                                "x.profile.json",
                                "application/json",
                                other.getBytes(StandardCharsets.UTF_8)));
        user.press("Keep this profile");
        assertThat(user.page.locator("[data-profile=from-a-file]")).isVisible();
    }
}
