package app.jerboa.server.job;

import java.time.OffsetDateTime;

/** Rows of the job's tables as they are stored. */
final class Rows {
    private Rows() {}

    record JobRow(
            long id, String name, long version, String cidr, String gateway, String laptopHome) {}

    record RangeRow(String kind, String firstAddress, String lastAddress, String holder) {}

    record DeviceRow(
            long id,
            String name,
            String profile,
            String mac,
            String address,
            int prefix,
            String gateway,
            boolean reserved,
            String found) {}

    /** No controller is 0. */
    record LineRow(int number, long cameraId, int controlId, long controllerId, int keyNumber) {}

    record CommandRow(
            long id, OffsetDateTime at, String person, String kind, String label, String changes) {}

    record SummaryRow(
            long id, String name, String cidr, int lines, int planned, int set, int differs) {}
}
