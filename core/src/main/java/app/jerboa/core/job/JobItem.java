package app.jerboa.core.job;

import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.text.JobItems;

/** One item of a job as its typed value; its texts are {@link JobItems#item}. */
public sealed interface JobItem
        permits ChosenRoute,
                Mount,
                Preset,
                PlannedShots,
                PlannedTake,
                Run,
                Price,
                Site,
                Subnet,
                AddressRange,
                Device,
                Line,
                Prepared,
                Secret,
                OwnProfile,
                Waiver {
    ItemRef ref();
}
