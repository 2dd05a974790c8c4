package app.jerboa.server.knobs;

import app.jerboa.server.words.Words;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;

/** Waits for a device as long as a person would. */
final class Patience {
    private static final int SECONDS = 3;

    private Patience() {}

    /**
     * @throws NotTold in words when it refuses or is silent
     */
    static <T> T with(String device, String what, CompletableFuture<T> told) {
        try {
            return told.get(SECONDS, TimeUnit.SECONDS);
        } catch (ExecutionException e) {
            throw new NotTold(
                    "refused",
                    Words.say(
                            "told.refused",
                            Map.of(
                                    "device", device,
                                    "what", what,
                                    "reason", String.valueOf(e.getCause().getMessage()))));
        } catch (TimeoutException e) {
            throw silent(device);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw silent(device);
        }
    }

    private static NotTold silent(String device) {
        return new NotTold("silent", Words.say("told.silent", Map.of("device", device)));
    }
}
