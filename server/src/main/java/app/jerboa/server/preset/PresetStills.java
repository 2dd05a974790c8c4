package app.jerboa.server.preset;

import app.jerboa.core.job.Device;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Photos;
import app.jerboa.server.picture.Stills;
import app.jerboa.server.platform.Problem;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** What a camera saw when it stored a view: kept small, beside the job and not in its file. */
@Component
class PresetStills {
    private static final Logger LOG = LoggerFactory.getLogger(PresetStills.class);
    private static final int LONGEST_SIDE = 320;

    private final Stills stills;
    private final StillMapper mapper;

    PresetStills(Stills stills, StillMapper mapper) {
        this.stills = stills;
        this.mapper = mapper;
    }

    /** A view is stored also where there is no picture: then that of before is not kept either. */
    void take(Jobs.Stored stored, Device camera, int number) {
        long device = camera.id().value();
        try {
            byte[] jpeg = Photos.asJpeg(stills.of(stored, camera), LONGEST_SIDE);
            mapper.keep(stored.id(), device, number, jpeg);
        } catch (Problem | IOException none) {
            LOG.debug("no still of {}: {}", camera.name(), none.getMessage());
            mapper.drop(stored.id(), device, number);
        }
    }

    /** When each was taken, by camera and number. */
    Map<Long, Map<Integer, Long>> taken(long job) {
        return mapper.kept(job).stream()
                .collect(
                        Collectors.groupingBy(
                                StillMapper.Kept::device,
                                Collectors.toMap(
                                        StillMapper.Kept::number, StillMapper.Kept::taken)));
    }

    Optional<byte[]> picture(long job, long device, int number) {
        return mapper.picture(job, device, number);
    }
}
