package app.jerboa.server.picture;

import app.jerboa.server.job.Jobs;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a camera sees now, one picture at a time. */
@RestController
@RequestMapping("/api/jobs/{job}/cameras/{device}")
class StillController {
    private final Jobs jobs;
    private final Stills stills;

    StillController(Jobs jobs, Stills stills) {
        this.jobs = jobs;
        this.stills = stills;
    }

    @GetMapping("/still")
    ResponseEntity<byte[]> still(
            @PathVariable("job") long job, @PathVariable("device") long device) {
        Jobs.Stored stored = jobs.load(job);
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .contentType(MediaType.IMAGE_JPEG)
                .body(stills.of(stored, stored.need(device)));
    }
}
