package app.jerboa.server.view;

import app.jerboa.server.findings.FindingBody;
import java.util.List;

/** What everybody sees of a job at one version; the fields of {@link JobView}. */
record JobParts(
        String name,
        JobView.SiteBody site,
        JobView.SubnetBody subnet,
        List<JobView.SubnetBody> subnets,
        List<JobView.HouseRange> ranges,
        List<JobView.DeviceBody> devices,
        List<JobView.LineBody> lines,
        List<JobView.RunName> runs,
        String ownProfiles,
        List<FindingBody> findings) {}
