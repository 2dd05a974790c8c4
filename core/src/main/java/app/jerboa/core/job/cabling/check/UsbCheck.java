package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.video.LeadReach;
import app.jerboa.core.video.PictureSize;
import app.jerboa.core.video.UsbRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** USB leads: how far they reach, and whether an uncompressed picture goes through. */
final class UsbCheck {
    private UsbCheck() {}

    static List<Finding> at(CablingPlan plan, Link link) {
        List<Finding> found = new ArrayList<>();
        if (link.signal() == Signal.USB) {
            length(plan, link, found);
            bandwidth(plan, link, found);
        }
        return found;
    }

    private static void length(CablingPlan plan, Link link, List<Finding> found) {
        double longest =
                switch (link.run().cable()) {
                    case USB_2 -> LeadReach.USB_2;
                    case USB_3 -> LeadReach.USB_3;
                    default -> Double.MAX_VALUE;
                };
        if (link.run().metres() > longest) {
            found.add(
                    plan.about(
                                    link,
                                    CablingCodes.USB_LENGTH,
                                    Field.METRES,
                                    Map.of(
                                            "cable", link.run().cable().toString(),
                                            "longest", CablingPlan.one(longest)))
                            .withFixes(List.of(EndsCheck.relaid(link.run(), Cable.USB_EXTENDER))));
        }
    }

    private static void bandwidth(CablingPlan plan, Link link, List<Finding> found) {
        Device camera = link.source().device();
        boolean picture =
                camera.profile().kind() == DeviceKind.CAMERA
                        && link.source().socket().port().use() != PortUse.CONTROL
                        && camera.profile().video().filter(v -> v.codecs().isEmpty()).isPresent();
        if (!picture) {
            return;
        }
        String format =
                camera.format().isEmpty() ? plan.job().site().habits().standard() : camera.format();
        double takes = UsbRate.megabits(PictureSize.of(format));
        double room = link.run().cable() == Cable.USB_2 ? UsbRate.USB_2 : UsbRate.USB_3;
        if (takes > room) {
            Finding finding =
                    plan.about(
                            link,
                            CablingCodes.USB_BANDWIDTH,
                            Field.CABLE,
                            Map.of(
                                    "cable", link.run().cable().toString(),
                                    "format", format,
                                    "takes", CablingPlan.one(takes),
                                    "room", CablingPlan.one(room)));
            found.add(
                    room == UsbRate.USB_2 && takes <= UsbRate.USB_3
                            ? finding.withFixes(List.of(EndsCheck.relaid(link.run(), Cable.USB_3)))
                            : finding);
        }
    }
}
