package app.jerboa.core.net;

import static app.jerboa.core.finding.Severity.NOTE;
import static app.jerboa.core.finding.Severity.STOP;
import static app.jerboa.core.finding.Severity.WARN;

import app.jerboa.core.finding.Discipline;
import app.jerboa.core.finding.FindingCode;
import java.util.List;

/** The codes of the address family. */
public final class AddressCodes {
    public static final FindingCode DUP = new FindingCode("ADDR-DUP", STOP, Discipline.ADDRESSES);
    public static final FindingCode TAKEN =
            new FindingCode("ADDR-TAKEN", STOP, Discipline.ADDRESSES);
    public static final FindingCode OUTSIDE =
            new FindingCode("ADDR-OUTSIDE", STOP, Discipline.ADDRESSES);
    public static final FindingCode GATEWAY =
            new FindingCode("ADDR-GATEWAY", STOP, Discipline.ADDRESSES);
    public static final FindingCode POOL = new FindingCode("ADDR-POOL", WARN, Discipline.ADDRESSES);
    public static final FindingCode MASK = new FindingCode("ADDR-MASK", STOP, Discipline.ADDRESSES);
    public static final FindingCode GAP = new FindingCode("ADDR-GAP", STOP, Discipline.ADDRESSES);
    public static final FindingCode FACTORY_CLASH =
            new FindingCode("ADDR-FACTORY-CLASH", WARN, Discipline.ADDRESSES);
    public static final FindingCode FACTORY_INSIDE =
            new FindingCode("ADDR-FACTORY-INSIDE", WARN, Discipline.ADDRESSES);
    public static final FindingCode RIVALS =
            new FindingCode("ADDR-RIVALS", NOTE, Discipline.ADDRESSES);

    public static final FindingCode LEASE_FIXED =
            new FindingCode("ADDR-LEASE-FIXED", WARN, Discipline.ADDRESSES);
    public static final FindingCode LEASE_ONLY =
            new FindingCode("ADDR-LEASE-ONLY", STOP, Discipline.ADDRESSES);

    /** A device that needs an address and has none planned. */
    public static final FindingCode NONE = new FindingCode("ADDR-NONE", WARN, Discipline.ADDRESSES);

    /** On an address that the site keeps back for something else. */
    public static final FindingCode RESERVED =
            new FindingCode("ADDR-RESERVED", STOP, Discipline.ADDRESSES);

    /** No address is left for it, or no run of addresses that long. */
    public static final FindingCode FULL = new FindingCode("ADDR-FULL", STOP, Discipline.ADDRESSES);

    /** A role has more devices than its block has addresses. */
    public static final FindingCode BLOCK =
            new FindingCode("ADDR-BLOCK", NOTE, Discipline.ADDRESSES);

    /** More than one interface of this machine leads to a device. */
    public static final FindingCode OVERLAP =
            new FindingCode("ADDR-OVERLAP", WARN, Discipline.ADDRESSES);

    /** Every code, so that a test can prove each has its wording. */
    public static final List<FindingCode> ALL =
            List.of(
                    DUP,
                    TAKEN,
                    OUTSIDE,
                    GATEWAY,
                    POOL,
                    MASK,
                    GAP,
                    FACTORY_CLASH,
                    FACTORY_INSIDE,
                    RIVALS,
                    LEASE_FIXED,
                    LEASE_ONLY,
                    NONE,
                    RESERVED,
                    FULL,
                    BLOCK,
                    OVERLAP);

    private AddressCodes() {}
}
