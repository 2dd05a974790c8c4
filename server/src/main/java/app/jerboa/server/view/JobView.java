package app.jerboa.server.view;

import app.jerboa.server.findings.FindingBody;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * One job as its pages show it; the first of the subnets also stands alone. Texts that are absent
 * are empty, all else that is absent is null.
 *
 * @param observed the number of the newest observation: what is known may be more at one version
 * @param ownProfiles another text after the job's own profiles have changed
 */
public record JobView(
        long id,
        long version,
        long observed,
        String role,
        String undo,
        String redo,
        LogBody lastLog,
        String name,
        SiteBody site,
        SubnetBody subnet,
        List<SubnetBody> subnets,
        List<HouseRange> ranges,
        List<DeviceBody> devices,
        List<LineBody> lines,
        List<RunName> runs,
        String ownProfiles,
        List<FindingBody> findings) {

    /**
     * The job's own facts; lengths are shown in m or ft.
     *
     * @param powerHeadroom per cent
     * @param linkHeadroom per cent
     * @param fixingFactor how many times what hangs overhead its fixing must hold
     * @param usualRun metres
     * @param cableSlack per cent
     * @param reel metres
     * @param spares per cent
     * @param uplink Mb/s, where noted
     * @param outgoing Mb/s, where noted
     * @param practices the way chosen, by the name of the matter's field
     */
    public record SiteBody(
            long id,
            String name,
            String units,
            String standard,
            String numbering,
            String clock,
            int powerHeadroom,
            int linkHeadroom,
            int fixingFactor,
            String usualRun,
            int cableSlack,
            String reel,
            int spares,
            OptionalInt uplink,
            String service,
            OptionalInt outgoing,
            Map<String, String> practices) {}

    /**
     * One network of the house; no vlan for untagged. What the house has in it is in its ranges.
     */
    public record SubnetBody(
            long id,
            String name,
            OptionalInt vlan,
            String cidr,
            String network,
            String broadcast,
            String mask,
            String firstHost,
            String lastHost,
            long hosts,
            String gateway,
            String laptopHome,
            List<BlockBody> blocks) {}

    /** Addresses of the house that are not ours; use pool, reserved or taken. */
    public record HouseRange(long id, String use, String first, String last, String holder) {}

    /** Addresses from first to last that are for one role. */
    public record BlockBody(String first, String last, String what) {}

    /**
     * One device of the sheet.
     *
     * @param fitted id of what it is fitted to, if anything
     * @param paints it is a camera with knobs for its picture
     */
    public record DeviceBody(
            long id,
            String name,
            String kind,
            String sort,
            String profile,
            String profileId,
            boolean networked,
            String mac,
            String serialNumber,
            String firmware,
            String condition,
            String format,
            String address,
            int prefix,
            String gateway,
            boolean reserved,
            Optional<Long> fitted,
            String found,
            String mark,
            String factoryAddress,
            boolean paints) {}

    /**
     * One line of the line-up.
     *
     * @param tally none for that of its input
     * @param wants what must be controlled from afar, noted or usual
     * @param wantsNoted somebody noted them
     * @param mountId once anything is noted of its mount
     * @param place where the camera is fixed; empty while not noted
     * @param port that its network run starts at; empty while none is drawn
     * @param watts at most
     * @param outOfLine places where the number differs from the line's: id, key, paint-key, input,
     *     address
     * @param proved how many of its tests are asked or seen
     * @param toProve how many it needs
     */
    public record LineBody(
            long id,
            int number,
            String name,
            long cameraId,
            int controlId,
            Optional<PlaceBody> key,
            Optional<PlaceBody> also,
            Optional<PlaceBody> paint,
            Optional<PlaceBody> input,
            OptionalInt tally,
            List<String> wants,
            boolean wantsNoted,
            Optional<Long> mountId,
            String place,
            String port,
            double watts,
            List<String> outOfLine,
            int proved,
            int toProve) {}

    /** A run by the socket it ends in; the Cabling page has the rest. */
    public record RunName(long id, String name) {}

    /** A key or an input of a device. */
    public record PlaceBody(long deviceId, String device, int number) {}

    /** The last thing logged; empty texts when nothing was. */
    public record LogBody(OffsetDateTime at, String person, String text) {}
}
