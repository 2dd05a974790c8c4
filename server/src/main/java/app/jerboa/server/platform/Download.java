package app.jerboa.server.platform;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Answers that the browser keeps as a file. */
public final class Download {
    private Download() {}

    /**
     * @param type with its character set where it is text
     */
    public static ResponseEntity<byte[]> of(String type, String file, byte[] content) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(file).build().toString())
                .contentType(MediaType.parseMediaType(type))
                .body(content);
    }

    /** Text in UTF-8. */
    public static ResponseEntity<byte[]> text(String type, String file, String content) {
        return of(type + ";charset=UTF-8", file, content.getBytes(StandardCharsets.UTF_8));
    }

    /** What a job is called, as a file may be. */
    public static String name(String job, String what) {
        return job.replaceAll("[^A-Za-z0-9]+", "-").replaceAll("^-+|-+$", "") + "-" + what;
    }
}
