package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Job;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Video;
import app.jerboa.core.video.Coax;
import app.jerboa.core.video.LeadReach;
import app.jerboa.core.video.VideoLink;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How far one picture lead reaches.
 *
 * @param gigabits of the format that goes over it
 * @param lossDb per 100 m, of coax; else 0
 * @param allowedDb what the receiver makes up for, of coax; else 0
 */
public record PictureReach(
        String format, double gigabits, double lossDb, double allowedDb, double longestMetres) {

    /** Empty for what has no limit here: fibre, extenders, composite. */
    public static Optional<PictureReach> of(Job job, Link link) {
        return of(job, link, link.run().cable());
    }

    /** The same over another cable. */
    public static Optional<PictureReach> of(Job job, Link link, Cable cable) {
        if (link.signal() != Signal.SDI && link.signal() != Signal.HDMI) {
            return Optional.empty();
        }
        String format = format(job, link);
        double gigabits = VideoLink.gigabits(format);
        if (link.signal() == Signal.SDI) {
            return coax(cable).map(c -> sdi(link, c, format, gigabits));
        } else if (cable == Cable.HDMI) {
            return Optional.of(new PictureReach(format, gigabits, 0, 0, LeadReach.hdmi(gigabits)));
        } else if (cable == Cable.HDMI_ACTIVE) {
            return Optional.of(new PictureReach(format, gigabits, 0, 0, LeadReach.HDMI_ACTIVE));
        }
        return Optional.empty();
    }

    private static PictureReach sdi(Link link, Coax coax, String format, double gigabits) {
        double allowed =
                link.load()
                        .device()
                        .profile()
                        .video()
                        .map(Video::coaxLossDb)
                        .orElse(OptionalDouble.empty())
                        .orElse(Coax.allowedDb(gigabits));
        return new PictureReach(
                format,
                gigabits,
                coax.lossDbPer100m(gigabits),
                allowed,
                coax.longestMetres(gigabits, allowed));
    }

    private static Optional<Coax> coax(Cable cable) {
        return switch (cable) {
            case COAX_RG6 -> Optional.of(Coax.RG6);
            case COAX_RG59 -> Optional.of(Coax.RG59);
            case COAX_MINI -> Optional.of(Coax.MINI);
            default -> Optional.empty();
        };
    }

    /** As the source is set, else the job's standard. */
    private static String format(Job job, Link link) {
        String set = link.source().device().format();
        return set.isEmpty() ? job.site().habits().standard() : set;
    }
}
