package app.jerboa.server.picture;

import app.jerboa.core.job.Device;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Photos;
import app.jerboa.server.people.Person;
import app.jerboa.server.picture.DroppedMapper.DroppedPicture;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import io.swagger.v3.oas.annotations.Parameter;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Pictures that people give for cameras that give none over the network. */
@RestController
@RequestMapping("/api/jobs/{job}/cameras")
class DroppedController {
    private static final int LONGEST_SIDE = 1_920;

    private final Jobs jobs;
    private final DroppedMapper mapper;

    DroppedController(Jobs jobs, DroppedMapper mapper) {
        this.jobs = jobs;
        this.mapper = mapper;
    }

    @GetMapping("/dropped")
    List<DroppedPicture> all(@PathVariable("job") long job) {
        return mapper.all(job);
    }

    @GetMapping("/{device}/dropped")
    ResponseEntity<byte[]> picture(
            @PathVariable("job") long job, @PathVariable("device") long device) {
        byte[] jpeg = mapper.picture(job, device).orElseThrow(() -> Problem.notFound("picture"));
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate())
                .contentType(MediaType.IMAGE_JPEG)
                .body(jpeg);
    }

    /** Drawn anew as JPEG: nothing else that is in the file is kept. */
    @PostMapping(value = "/{device}/dropped", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Needs(Right.DRIVE)
    List<DroppedPicture> drop(
            @PathVariable("job") long job,
            @PathVariable("device") long device,
            @RequestPart("picture") MultipartFile picture,
            @Parameter(hidden = true) @AuthenticationPrincipal Person by)
            throws IOException {
        Device camera = jobs.load(job).need(device);
        if (camera.profile().kind() != DeviceKind.CAMERA) {
            throw Problem.notFound("camera");
        }
        byte[] jpeg = Photos.asJpeg(picture.getBytes(), LONGEST_SIDE);
        mapper.keep(job, device, jpeg, by.displayName());
        return mapper.all(job);
    }

    @DeleteMapping("/{device}/dropped")
    @Needs(Right.DRIVE)
    List<DroppedPicture> forget(
            @PathVariable("job") long job, @PathVariable("device") long device) {
        mapper.drop(job, device);
        return mapper.all(job);
    }
}
