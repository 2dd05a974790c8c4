package app.jerboa.core.job.edit;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.SoftLimit;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.motion.MotionAxis;
import app.jerboa.core.profile.Head;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.util.Optional;

/**
 * A soft limit is set only where the head goes: one on an axis that it lacks would be shown and
 * would hold nothing back. What was stored before stays.
 */
public final class LimitRules {
    private LimitRules() {}

    /**
     * @param after the job as the changes make it
     * @throws ItemRejected for the first limit that is set on an axis that its head has not
     */
    public static void check(Job after, ChangeSet changes) {
        for (Edit edit : changes.edits()) {
            if (SoftLimit.FIELDS.contains(edit.field()) && !edit.after().isBlank()) {
                after.device(new DeviceId(edit.item().id())).ifPresent(d -> insist(d, edit));
            }
        }
    }

    private static void insist(Device device, Edit edit) {
        missing(device, SoftLimit.of(edit.field()).axis())
                .ifPresent(
                        why -> {
                            throw new ItemRejected(
                                    edit.item(),
                                    edit.field(),
                                    new TextRejected(edit.after(), 0, why));
                        });
    }

    /** Why a device cannot be limited there; empty where it can. */
    public static Optional<Reason> missing(Device device, MotionAxis axis) {
        Optional<Head> head = device.profile().head();
        if (head.isEmpty()) {
            return Optional.of(Reason.of("text.no-head"));
        }
        return switch (axis) {
            case PAN, TILT -> Optional.empty();
            case ROLL -> head.get().roll().isPresent() ? Optional.empty() : why("text.no-roll");
            case RAIL -> head.get().rail().isPresent() ? Optional.empty() : why("text.no-rail");
        };
    }

    private static Optional<Reason> why(String key) {
        return Optional.of(Reason.of(key));
    }
}
