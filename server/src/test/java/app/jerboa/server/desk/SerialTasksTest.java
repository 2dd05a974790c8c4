package app.jerboa.server.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import org.junit.jupiter.api.Test;

/** A wish of a desk is done in its turn or refused, never lost without a word. */
class SerialTasksTest {
    private final List<String> seen = new ArrayList<>();

    @Test
    void inTheirOrder() {
        SerialTasks tasks = new SerialTasks();
        for (String wish : List.of("open", "take 1", "take 2")) {
            tasks.then(Runnable::run, () -> seen.add(wish), () -> seen.add("refused"));
        }
        assertThat(seen).containsExactly("open", "take 1", "take 2");
    }

    @Test
    void withoutAThreadItIsRefusedAndTheNextIsHeard() {
        SerialTasks tasks = new SerialTasks();
        Executor full =
                task -> {
                    throw new RejectedExecutionException("no thread");
                };
        tasks.then(full, () -> seen.add("done"), () -> seen.add("refused"));
        tasks.then(Runnable::run, () -> seen.add("next"), () -> seen.add("refused"));
        assertThat(seen).containsExactly("refused", "next");
    }

    @Test
    void tooManyThatWaitAreRefused() {
        SerialTasks tasks = new SerialTasks();
        List<Runnable> held = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            tasks.then(held::add, () -> seen.add("done"), () -> seen.add("refused"));
        }
        assertThat(seen).containsExactly("refused", "refused", "refused", "refused");
    }
}
