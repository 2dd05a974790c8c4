package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.List;
import java.util.OptionalInt;

/**
 * A controller's camera keys.
 *
 * @param counting it finds cameras by counting up from the first key's address
 * @param lastOctetOnly and only in the last octet
 * @param groupOf keys are shown in groups of so many; empty for no groups
 */
public record Keys(
        @Fact(value = "Keys", least = 1, most = 255) int count,
        @Fact(value = "First key is", most = 1) int first,
        @Fact("Counts up from the first address") boolean counting,
        @Fact("Counts in the last octet only") boolean lastOctetOnly,
        @Fact(value = "Keys in a group", least = 2, most = 32) OptionalInt groupOf,
        @Fact("Filled by") List<Filling> filledBy,
        @Fact("A search hands out new addresses") boolean searchHandsOut,
        @Fact("Refuses one name twice") boolean refusesSameName,
        @Fact("Locked to its own protocol family") boolean locked,
        @Fact(value = "Serial cameras among them", most = 255) OptionalInt serialKeys) {}
