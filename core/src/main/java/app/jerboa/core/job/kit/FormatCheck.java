package app.jerboa.core.job.kit;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.line.Converted;
import app.jerboa.core.profile.DialPosition;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.Port;
import app.jerboa.core.profile.Video;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Does everything with a picture lead agree on the job's one format? */
final class FormatCheck {
    private static final Set<Join> PICTURE =
            EnumSet.of(Join.SDI_IN, Join.SDI_OUT, Join.HDMI_IN, Join.HDMI_OUT);

    private FormatCheck() {}

    static List<Finding> of(Job job) {
        String standard = job.site().habits().standard();
        Converted converted = Converted.of(job);
        List<Finding> found = new ArrayList<>();
        for (Device d : job.devices()) {
            d.profile()
                    .video()
                    .flatMap(v -> check(d, v, standard, converted))
                    .ifPresent(found::add);
        }
        return found;
    }

    private static Optional<Finding> check(
            Device d, Video video, String standard, Converted converted) {
        boolean otherwise = !d.format().isEmpty() && !d.format().equals(standard);
        if (otherwise && !converted.takes(d)) {
            return Optional.of(setOtherwise(d, video, standard));
        }
        boolean leads = d.profile().ports().stream().map(Port::join).anyMatch(PICTURE::contains);
        boolean can = video.converts() || converted.helps(d) || video.formats().contains(standard);
        return leads && !can
                ? Optional.of(
                        Finding.of(
                                KitCodes.FORMAT,
                                d.id(),
                                Field.PROFILE,
                                facts(d, standard, "unable", "")))
                : Optional.empty();
    }

    private static Finding setOtherwise(Device d, Video video, String standard) {
        String dial =
                video.dial().stream()
                        .filter(p -> p.format().equals(standard))
                        .map(DialPosition::position)
                        .findFirst()
                        .orElse("");
        Finding finding =
                Finding.of(
                        KitCodes.FORMAT,
                        d.id(),
                        Field.FORMAT_SET,
                        facts(d, standard, dial.isEmpty() ? "menu" : "dial", dial));
        return video.formats().contains(standard)
                ? finding.withFixes(
                        List.of(
                                Fix.editing(
                                        "format",
                                        List.of(
                                                Edit.of(
                                                        d.id(),
                                                        Field.FORMAT_SET,
                                                        d.format(),
                                                        standard)))))
                : finding;
    }

    private static Map<String, String> facts(Device d, String standard, String what, String dial) {
        return Map.of(
                "device", d.name(),
                "format", d.format(),
                "standard", standard,
                "what", what,
                "dial", dial);
    }
}
