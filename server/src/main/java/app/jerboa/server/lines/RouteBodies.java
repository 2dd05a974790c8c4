package app.jerboa.server.lines;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** Control routes as their pages show them. */
final class RouteBodies {
    /**
     * Cameras by functions.
     *
     * @param functions in the order of the columns
     */
    record Matrix(List<String> functions, List<Row> rows) {}

    /** One camera. */
    record Row(long line, String name, String camera, List<Cell> cells) {}

    /**
     * One function of one camera.
     *
     * @param wanted it must be controlled from afar
     * @param ways how many there are, ready or not
     * @param controller empty when nothing is planned
     * @param over protocol and what it travels on
     * @param chosen somebody wants it so
     */
    record Cell(
            String function,
            boolean wanted,
            int ways,
            String controller,
            OptionalInt key,
            String over,
            boolean chosen) {}

    /**
     * One way.
     *
     * @param through names of what stands between
     * @param throughId none for straight to the camera
     * @param planned it is the one that counts
     * @param ready it would work as the plan stands
     * @param why it stands where it stands
     * @param needs what must be there or done, in sentences
     * @param lost what else stops when it fails, in a sentence
     */
    record Way(
            long controllerId,
            String controller,
            OptionalInt key,
            String protocol,
            String over,
            List<String> through,
            Optional<Long> throughId,
            boolean twoWay,
            boolean planned,
            boolean chosen,
            boolean ready,
            String why,
            List<String> needs,
            String lost) {}

    /** A way that somebody wants; no {@code throughId} for straight to the camera. */
    record Choice(long controllerId, String protocol, Optional<Long> throughId) {}

    private RouteBodies() {}
}
