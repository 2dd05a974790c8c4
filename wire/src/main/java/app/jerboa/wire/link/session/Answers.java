package app.jerboa.wire.link.session;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;

/** What was asked over a link is waited for; only where waiting hurts nobody. */
public final class Answers {
    private Answers() {}

    /**
     * @throws NoAnswer in words, when it was refused, did not come in time, or the server stops
     */
    public static <T> T await(CompletableFuture<T> answer, int seconds) {
        try {
            return answer.get(seconds, TimeUnit.SECONDS);
        } catch (ExecutionException e) {
            throw e.getCause() instanceof NoAnswer no
                    ? no
                    : new NoAnswer(String.valueOf(e.getCause().getMessage()));
        } catch (TimeoutException e) {
            throw new NoAnswer("no answer within " + seconds + " s");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new NoAnswer("the server is stopping");
        }
    }
}
