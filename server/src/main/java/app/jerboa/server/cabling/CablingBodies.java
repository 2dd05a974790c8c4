package app.jerboa.server.cabling;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/** What the Cabling page is sent. Lengths in metres unless a text names its unit. */
final class CablingBodies {
    private CablingBodies() {}

    /**
     * The whole page.
     *
     * @param runs every run, also those that cannot be and are not drawn
     */
    record CablingBody(DrawingBody drawing, List<RunRow> runs, List<BudgetBody> budgets) {}

    /** A sheet of shapes in drawing units; a text of normal size is 12 high. */
    record DrawingBody(double width, double height, List<ShapeBody> shapes) {}

    /**
     * One thing drawn.
     *
     * @param kind box, socket, empty, line, text, middle or bar
     * @param tone plain, heading, strong, quiet, warn or stop
     * @param run that it stands for, if any
     * @param device that it stands for, if any
     */
    record ShapeBody(
            String kind,
            double x,
            double y,
            double w,
            double h,
            String text,
            String tone,
            Optional<Long> run,
            Optional<Long> device) {}

    /**
     * One run in a list.
     *
     * @param refusal why it cannot be; empty when it can
     */
    record RunRow(
            long id,
            String from,
            String to,
            String cable,
            String gauge,
            String metres,
            String label,
            String laid,
            String refusal) {}

    /**
     * What a switch gives over Ethernet, in watts.
     *
     * @param refused by class, in port order
     * @param shed would lose power first, in this order
     */
    record BudgetBody(
            long device,
            String name,
            double budget,
            double allowed,
            double moving,
            double idle,
            double reserved,
            List<String> refused,
            List<String> shed) {}

    /**
     * One run with everything about it.
     *
     * @param texts of its fields by name
     * @param gauges that its cable is sold in; empty where gauge does not matter
     * @param usualGauge where none is noted and it matters
     * @param cables that carry what its sockets need
     * @param volts of the supply, of DC
     * @param otherwise how else the device could be fed
     */
    record RunBody(
            long id,
            EndBody from,
            EndBody to,
            String signal,
            Map<String, String> texts,
            List<Integer> gauges,
            OptionalInt usualGauge,
            List<String> cables,
            Optional<Double> volts,
            List<SumLine> sums,
            List<ChoiceBody> otherwise) {}

    /**
     * One end.
     *
     * @param sockets it could be in, its own first
     * @param settings of the device that its leads depend on, by field name
     */
    record EndBody(
            long device,
            String name,
            String port,
            List<String> sockets,
            Map<String, String> settings) {}

    /** Another way to feed a device. */
    record ChoiceBody(String what, String figure, boolean works) {}

    /** A socket of a device. */
    record SocketBody(String port, boolean free) {}

    /** A socket that something might be joined with; an empty refusal says it can be. */
    record JoinBody(long device, String name, String port, String refusal, List<String> cables) {}

    /**
     * A run as it might be.
     *
     * @param texts of its fields by name, those that differ
     * @param volts of another DC supply; none for what the plan has
     */
    record WhatIf(Map<String, String> texts, OptionalDouble volts) {}

    /** Its sums then. */
    record WhatIfSums(List<SumLine> sums) {}
}
