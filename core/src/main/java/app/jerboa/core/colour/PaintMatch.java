package app.jerboa.core.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How far each knob of one camera is to be turned so that its chart looks like that of the
 * reference. It is an estimate: cameras differ from their profiles, so what is turned is read
 * again.
 */
public final class PaintMatch {
    /** A step that improves the mean by less is not worth turning. */
    public static final double WORTH = 0.1;

    private static final double BETTER = 1e-6;
    private static final int MOST_ROUNDS = 30;

    private final List<PaintKnob> knobs;
    private final List<Rgb> camera = new ArrayList<>();
    private final List<Lab> reference = new ArrayList<>();
    private final int[] steps;
    private final double before;
    private double now;

    /** Squares that either camera clipped are left out. */
    public PaintMatch(ChartReading camera, ChartReading reference, List<PaintKnob> knobs) {
        this.knobs = List.copyOf(knobs);
        usable(camera, reference)
                .forEach(
                        i -> {
                            this.camera.add(camera.squares().get(i).rgb());
                            this.reference.add(reference.lab(i).orElseThrow());
                        });
        steps = new int[knobs.size()];
        before = mean(steps);
        now = before;
        turn();
    }

    /** Places of the squares that both cameras show. */
    public static List<Integer> usable(ChartReading camera, ChartReading reference) {
        return IntStream.range(0, ChartReading.SQUARES)
                .filter(i -> camera.squares().get(i).usable())
                .filter(i -> reference.squares().get(i).usable())
                .boxed()
                .toList();
    }

    /** Mean CIEDE2000 as read; 0 without squares. */
    public double before() {
        return before;
    }

    /** The same as it should be then; never above. */
    public double predicted() {
        return now;
    }

    /** Steps of each knob, to be added to how it stands. */
    public List<Integer> moves() {
        return IntStream.of(steps).boxed().toList();
    }

    /** Names of the knobs at a limit that would still help beyond it. */
    public List<String> limits() {
        return IntStream.range(0, knobs.size())
                .filter(this::wouldHelpBeyond)
                .mapToObj(i -> knobs.get(i).name())
                .toList();
    }

    private double mean(int[] turned) {
        if (camera.isEmpty()) {
            return 0;
        }
        PaintChange change = new PaintChange(knobs, turned);
        double sum = 0;
        for (int i = 0; i < camera.size(); i++) {
            sum += DeltaE.of(change.of(camera.get(i)).lab(), reference.get(i));
        }
        return sum / camera.size();
    }

    /** One knob after the other to its best, then two together, until neither helps any more. */
    private void turn() {
        boolean better = true;
        for (int round = 0; better && round < MOST_ROUNDS; round++) {
            better = false;
            for (int knob = 0; knob < steps.length; knob++) {
                better |= best(knob);
            }
            if (!better) {
                better = pairs();
            }
        }
    }

    /** The best place of one knob while the others stay. */
    private boolean best(int knob) {
        PaintKnob k = knobs.get(knob);
        int[] trial = steps.clone();
        int found = steps[knob];
        double least = now - BETTER;
        for (int by = k.least() - k.now(); by <= k.most() - k.now(); by++) {
            trial[knob] = by;
            double mean = mean(trial);
            if (mean < least) {
                least = mean;
                found = by;
            }
        }
        boolean moved = found != steps[knob];
        if (moved) {
            steps[knob] = found;
            now = mean(steps);
        }
        return moved;
    }

    /** Knobs that work against each other must move together: more light and less gain. */
    private boolean pairs() {
        for (int one = 0; one < steps.length; one++) {
            for (int other = one + 1; other < steps.length; other++) {
                for (int a = -2; a <= 2; a++) {
                    for (int b = -2; b <= 2; b++) {
                        if (together(one, a, other, b)) {
                            return true;
                        }
                    }
                }
            }
        }
        return false;
    }

    private boolean together(int one, int a, int other, int b) {
        int[] trial = steps.clone();
        trial[one] += a;
        trial[other] += b;
        if (!stands(one, trial[one]) || !stands(other, trial[other])) {
            return false;
        }
        double mean = mean(trial);
        if (mean >= now - BETTER) {
            return false;
        }
        steps[one] = trial[one];
        steps[other] = trial[other];
        now = mean;
        return true;
    }

    private boolean stands(int knob, int by) {
        int at = knobs.get(knob).now() + by;
        return at >= knobs.get(knob).least() && at <= knobs.get(knob).most();
    }

    private boolean wouldHelpBeyond(int knob) {
        PaintKnob k = knobs.get(knob);
        int at = k.now() + steps[knob];
        int way = at == k.most() ? 1 : at == k.least() ? -1 : 0;
        int[] trial = steps.clone();
        for (int by = 1; way != 0 && by <= k.most() - k.least(); by++) {
            trial[knob] = steps[knob] + way * by;
            if (mean(trial) <= now - WORTH) {
                return true;
            }
        }
        return false;
    }
}
