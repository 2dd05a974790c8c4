package app.jerboa.server.view;

import app.jerboa.server.findings.FindingBody;
import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Objects;

/**
 * How a job's view became another: what a page that shows version {@code from} needs to show this
 * one. Parts that did not change are not there.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record JobPatch(
        @Schema(requiredMode = Schema.RequiredMode.REQUIRED) long id,
        @Schema(requiredMode = Schema.RequiredMode.REQUIRED) long from,
        @Schema(requiredMode = Schema.RequiredMode.REQUIRED) long fromObserved,
        @Schema(requiredMode = Schema.RequiredMode.REQUIRED) long version,
        @Schema(requiredMode = Schema.RequiredMode.REQUIRED) long observed,
        @Schema(requiredMode = Schema.RequiredMode.REQUIRED) String role,
        @Schema(requiredMode = Schema.RequiredMode.REQUIRED) String undo,
        @Schema(requiredMode = Schema.RequiredMode.REQUIRED) String redo,
        @Schema(requiredMode = Schema.RequiredMode.REQUIRED) JobView.LogBody lastLog,
        String name,
        JobView.SiteBody site,
        List<JobView.SubnetBody> subnets,
        ListPatch<JobView.HouseRange> ranges,
        String ownProfiles,
        ListPatch<JobView.DeviceBody> devices,
        ListPatch<JobView.LineBody> lines,
        ListPatch<JobView.RunName> runs,
        ListPatch<FindingBody> findings) {

    static JobPatch between(long from, long fromObserved, JobParts before, JobView now) {
        return new JobPatch(
                now.id(),
                from,
                fromObserved,
                now.version(),
                now.observed(),
                now.role(),
                now.undo(),
                now.redo(),
                now.lastLog(),
                changed(before.name(), now.name()),
                changed(before.site(), now.site()),
                changed(before.subnets(), now.subnets()),
                ListPatch.between(before.ranges(), now.ranges(), r -> Long.toString(r.id()))
                        .orElse(null),
                changed(before.ownProfiles(), now.ownProfiles()),
                ListPatch.between(before.devices(), now.devices(), d -> Long.toString(d.id()))
                        .orElse(null),
                ListPatch.between(before.lines(), now.lines(), l -> Long.toString(l.id()))
                        .orElse(null),
                ListPatch.between(before.runs(), now.runs(), r -> Long.toString(r.id()))
                        .orElse(null),
                ListPatch.between(before.findings(), now.findings(), FindingBody::key)
                        .orElse(null));
    }

    private static <T> T changed(T before, T now) {
        return Objects.equals(before, now) ? null : now;
    }
}
