package app.jerboa.server.job;

import app.jerboa.server.findings.FindingBody;
import java.time.OffsetDateTime;
import java.util.List;

/** One job as its pages show it. Texts that are absent are empty, numbers that are absent are 0. */
public record JobView(
        long id,
        String name,
        long version,
        String role,
        SiteBody site,
        SubnetBody subnet,
        List<HouseRange> ranges,
        List<DeviceBody> devices,
        List<LineBody> lines,
        List<FindingBody> findings,
        String undo,
        String redo,
        LogBody lastLog) {

    /** The job's own facts; lengths are shown in m or ft. */
    public record SiteBody(long id, String name, String units) {}

    /** The house network. */
    public record SubnetBody(
            long id,
            String cidr,
            String network,
            String broadcast,
            String mask,
            String firstHost,
            String lastHost,
            long hosts,
            String gateway,
            String laptopHome,
            List<RangeBody> pools,
            List<RangeBody> reserved,
            List<RangeBody> taken,
            List<RangeBody> blocks) {}

    /** Addresses of the house that are not ours; use pool, reserved or taken. */
    public record HouseRange(long id, String use, String first, String last, String holder) {}

    /** Addresses from first to last and what they are. */
    public record RangeBody(String first, String last, String what) {}

    /** One device of the sheet. */
    public record DeviceBody(
            long id,
            String name,
            String kind,
            String profile,
            String mac,
            String address,
            int prefix,
            String gateway,
            boolean reserved,
            String found,
            String mark,
            String factoryAddress) {}

    /** One line of the line-up; key -1 and controller "" for none. */
    public record LineBody(
            long id,
            int number,
            String name,
            long cameraId,
            int controlId,
            int key,
            String controller) {}

    /** The last thing logged; empty texts when nothing was. */
    public record LogBody(OffsetDateTime at, String person, String text) {}
}
