package app.jerboa.core.net;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/**
 * Does each device use the subnet's mask and a gateway it can reach, and leave the gateway its own
 * address?
 */
final class GatewayAndMaskCheck implements AddressCheck {
    @Override
    public void check(AddressIndex index, Consumer<Finding> report) {
        for (AddressedDevice d : index.facts().devices()) {
            checkMask(index.lan(), d, report);
            checkGatewaySetting(index.lan(), d, report);
            if (!d.isGateway() && d.address().filter(index.lan().gateway()::equals).isPresent()) {
                report.accept(
                        finding(index.lan(), d, "onGateway", Field.ADDRESS)
                                .withFixes(index.moving(List.of(d.id()))));
            }
        }
    }

    private static void checkMask(Lan lan, AddressedDevice d, Consumer<Finding> report) {
        int right = lan.subnet().prefix();
        if (d.prefix() == right) {
            return;
        }
        Map<String, String> facts =
                Map.of("device", d.name(), "prefix", "/" + d.prefix(), "right", "/" + right);
        report.accept(
                Finding.of(AddressCodes.MASK, d.id(), Field.PREFIX, facts)
                        .withFixes(
                                setting(
                                        d,
                                        Field.PREFIX,
                                        Integer.toString(d.prefix()),
                                        Integer.toString(right))));
    }

    private static void checkGatewaySetting(Lan lan, AddressedDevice d, Consumer<Finding> report) {
        if (d.gateway().isPresent() && !lan.subnet().isHost(d.gateway().get())) {
            report.accept(
                    finding(lan, d, "unreachable", Field.GATEWAY)
                            .withFixes(
                                    setting(
                                            d,
                                            Field.GATEWAY,
                                            d.gateway().get().toString(),
                                            lan.gateway().toString())));
        }
    }

    private static Finding finding(Lan lan, AddressedDevice d, String what, Field field) {
        return Finding.of(
                AddressCodes.GATEWAY,
                d.id(),
                field,
                Map.of(
                        "device", d.name(),
                        "gateway", lan.gateway().toString(),
                        "planned", d.gateway().map(Ipv4::toString).orElse(""),
                        "subnet", lan.subnet().toString(),
                        "what", what));
    }

    private static List<Fix> setting(AddressedDevice d, Field field, String from, String to) {
        return List.of(Fix.editing("set", List.of(Edit.of(d.id(), field, from, to))));
    }
}
