package app.jerboa.core.net;

import app.jerboa.core.value.DeviceId;
import java.util.List;

/**
 * The outcome of planning: the devices that get another address, and those that could not be
 * placed.
 *
 * @param moves in device order; empty when the plan stands as it is
 * @param unplaced devices for which no address is left: what they had may be given to others, so
 *     they are to have none
 */
public record AddressPlan(List<Move> moves, List<DeviceId> unplaced) {
    public AddressPlan {
        moves = List.copyOf(moves);
        unplaced = List.copyOf(unplaced);
    }
}
