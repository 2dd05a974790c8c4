package app.jerboa.core.job.line;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Video;
import app.jerboa.core.value.DeviceId;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Devices with a converter between themselves and the rest. Once a device's picture leads are drawn
 * they say; before, any converter of the kit may still come between.
 */
public final class Converted {
    private static final Set<Signal> PICTURES = EnumSet.of(Signal.SDI, Signal.HDMI);

    private final Optional<Cabling> cabling;
    private final boolean anywhere;

    private Converted(Optional<Cabling> cabling, boolean anywhere) {
        this.cabling = cabling;
        this.anywhere = anywhere;
    }

    public static Converted of(Job job) {
        return new Converted(
                job.runs().isEmpty() ? Optional.empty() : Optional.of(Cabling.of(job)),
                job.devices().stream().anyMatch(Converted::converts));
    }

    private static boolean converts(Device d) {
        return d.profile().video().filter(Video::converts).isPresent();
    }

    /** A device that cannot do the job's format can still be used. */
    public boolean helps(Device d) {
        List<Link> leads = leads(d);
        return leads.isEmpty() ? anywhere : leads.stream().allMatch(l -> meets(l, d.id()));
    }

    /** A converter takes whatever this device sends. */
    public boolean takes(Device d) {
        List<Link> out = leads(d).stream().filter(l -> l.source().of(d.id())).toList();
        return !out.isEmpty() && out.stream().allMatch(l -> meets(l, d.id()));
    }

    private static boolean meets(Link link, DeviceId id) {
        return converts(link.beyond(id).device());
    }

    private List<Link> leads(Device d) {
        return cabling.map(c -> c.at(d.id())).orElse(List.of()).stream()
                .filter(l -> PICTURES.contains(l.signal()))
                .toList();
    }
}
