package app.jerboa.server.sums;

import static app.jerboa.server.sums.SumCheck.between;
import static app.jerboa.server.sums.SumCheck.impossible;
import static app.jerboa.server.sums.SumCheck.insist;
import static app.jerboa.server.sums.SumCheck.needed;

import app.jerboa.core.colour.ChartReading;
import app.jerboa.core.colour.DeltaE;
import app.jerboa.core.colour.Lab;
import app.jerboa.core.colour.PaintKnob;
import app.jerboa.core.colour.PaintMatch;
import app.jerboa.server.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How different colours look, and what knobs would make of a camera's. */
@RestController
@RequestMapping("/api/sums")
class ColourSums {
    private static final double MOST_LAB = 1_000;
    private static final double MOST_CODE = 255;
    private static final int MOST_KNOBS = 16;
    private static final int WIDEST_KNOB = 1_024;
    private static final int FARTHEST_KNOB = 65_535;
    private static final double MOST_EFFECT = 100;
    private static final int LEAST_GREYS = 4;
    private static final int LEAST_SQUARES = 8;

    static final class DeltaEIn {
        public List<Double> lab1;
        public List<Double> lab2;
    }

    record DeltaEOut(double deltaE) {}

    @PostMapping("/delta-e")
    DeltaEOut deltaE(@RequestBody DeltaEIn in) {
        return new DeltaEOut(DeltaE.of(lab("lab1", in.lab1), lab("lab2", in.lab2)));
    }

    private static Lab lab(String field, List<Double> given) {
        double[] v = three(field, given, -MOST_LAB, MOST_LAB);
        return new Lab(v[0], v[1], v[2]);
    }

    private static double[] three(String field, List<Double> given, double least, double most) {
        List<Double> all = needed(field, given);
        insist(field, all.size() == 3, "three numbers");
        return all.stream()
                .mapToDouble(v -> between(field, needed(field, v), least, most))
                .toArray();
    }

    static final class ChartIn {
        public List<List<Double>> rgb;
    }

    /**
     * @param lab none for a square that cannot be used
     * @param unusable their places, from 0
     */
    record ChartOut(List<Optional<List<Double>>> lab, List<Integer> unusable) {}

    @PostMapping("/chart")
    ChartOut chart(@RequestBody ChartIn in) {
        ChartReading read = reading("rgb", in.rgb);
        List<Optional<Lab>> labs =
                IntStream.range(0, ChartReading.SQUARES).mapToObj(read::lab).toList();
        return new ChartOut(
                labs.stream().map(l -> l.map(v -> List.of(v.l(), v.a(), v.b()))).toList(),
                IntStream.range(0, labs.size())
                        .filter(i -> labs.get(i).isEmpty())
                        .boxed()
                        .toList());
    }

    private static ChartReading reading(String field, List<List<Double>> given) {
        List<List<Double>> all = needed(field, given);
        insist(field, all.size() == ChartReading.SQUARES, "20 squares");
        return new ChartReading(
                all.stream()
                        .map(s -> three(field, s, 0, MOST_CODE))
                        .map(v -> new ChartReading.Square(v[0], v[1], v[2]))
                        .toList());
    }

    static final class PaintKnobIn {
        public String name;
        public Integer least;
        public Integer most;
        public Integer now;
        public Double effect;
    }

    static final class PaintIn {
        public List<List<Double>> camera;
        public List<List<Double>> reference;
        public List<PaintKnobIn> knobs;
    }

    /** Whole steps, signed, to be added to where the knob stands. */
    record PaintMove(String name, int steps) {}

    /**
     * @param before mean CIEDE2000 as read, {@code predicted} as it should be then
     * @param limits knobs at a limit that would still help beyond it
     */
    record PaintOut(List<PaintMove> moves, double before, double predicted, List<String> limits) {}

    @PostMapping("/paint")
    PaintOut paint(@RequestBody PaintIn in) {
        ChartReading camera = reading("camera", in.camera);
        ChartReading reference = reading("reference", in.reference);
        List<PaintKnobIn> given = needed("knobs", in.knobs);
        insist("knobs", given.size() <= MOST_KNOBS, "at most " + MOST_KNOBS);
        List<PaintKnob> knobs = given.stream().map(ColourSums::knob).toList();
        insist(
                "knobs",
                knobs.stream().map(PaintKnob::name).distinct().count() == knobs.size(),
                "each once");
        insistOnSquares(PaintMatch.usable(camera, reference));
        PaintMatch match = new PaintMatch(camera, reference, knobs);
        List<PaintMove> moves =
                IntStream.range(0, knobs.size())
                        .mapToObj(i -> new PaintMove(knobs.get(i).name(), match.moves().get(i)))
                        .toList();
        return new PaintOut(moves, match.before(), match.predicted(), match.limits());
    }

    private static void insistOnSquares(List<Integer> usable) {
        long greys = usable.stream().filter(ChartReading::isGrey).count();
        if (usable.size() < LEAST_SQUARES || greys < LEAST_GREYS) {
            throw impossible(
                    "camera",
                    "too many squares are clipped in one of the two: 4 greys and 8 squares in all"
                            + " are needed. Change the exposure and read again");
        }
    }

    private static PaintKnob knob(PaintKnobIn in) {
        insist("knobs", in != null, "given");
        String name = needed("name", in.name);
        PaintKnob.Does what =
                Arrays.stream(PaintKnob.Does.values())
                        .filter(d -> d.word().equals(name))
                        .findFirst()
                        .orElseThrow(() -> impossible("name", Words.say("refused.no-knob")));
        int least = between("least", needed("least", in.least), -FARTHEST_KNOB, FARTHEST_KNOB);
        int most = between("most", needed("most", in.most), least, FARTHEST_KNOB);
        insist("most", most - least <= WIDEST_KNOB, "at most 1024 steps from the least");
        return new PaintKnob(
                name,
                what,
                least,
                most,
                between("now", needed("now", in.now), least, most),
                between("effect", needed("effect", in.effect), -MOST_EFFECT, MOST_EFFECT));
    }
}
