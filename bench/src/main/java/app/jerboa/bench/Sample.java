package app.jerboa.bench;

import java.util.Arrays;
import java.util.List;

/** Measured times in milliseconds, smallest first. */
record Sample(List<Double> millis) {
    static Sample of(double[] millis) {
        return new Sample(Arrays.stream(millis).sorted().boxed().toList());
    }

    /** All of them together. */
    static Sample of(List<Sample> parts) {
        return of(
                parts.stream()
                        .flatMap(p -> p.millis.stream())
                        .mapToDouble(Double::doubleValue)
                        .toArray());
    }

    double best() {
        return millis.get(0);
    }

    double median() {
        return at(0.5);
    }

    double p95() {
        return at(0.95);
    }

    double p99() {
        return at(0.99);
    }

    double worst() {
        return at(1);
    }

    private double at(double share) {
        return millis.get(
                (int) Math.min(millis.size() - 1.0, Math.ceil(share * millis.size()) - 1));
    }
}
