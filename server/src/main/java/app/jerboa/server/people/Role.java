package app.jerboa.server.people;

import app.jerboa.server.platform.Right;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;

/** A person's part in a job. */
public enum Role {
    LEAD("lead", Set.of(Right.READ, Right.DRIVE, Right.PLAN, Right.MANAGE)),
    TECHNICIAN("technician", Set.of(Right.READ, Right.DRIVE, Right.PLAN)),
    OPERATOR("operator", Set.of(Right.READ, Right.DRIVE)),
    VIEWER("viewer", Set.of(Right.READ));

    private final String wire;

    @SuppressWarnings("ImmutableEnumChecker")
    private final Set<Right> rights;

    Role(String wire, Set<Right> rights) {
        this.wire = wire;
        this.rights = rights;
    }

    public String wire() {
        return wire;
    }

    public boolean may(Right right) {
        return rights.contains(right);
    }

    public static Optional<Role> fromWire(String name) {
        return Arrays.stream(values()).filter(r -> r.wire.equals(name)).findFirst();
    }
}
