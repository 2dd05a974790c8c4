package app.jerboa.server.change;

import java.time.OffsetDateTime;

/** One command as stored; its changes as JSON. */
record CommandRow(long id, OffsetDateTime at, String person, String label, String changes) {}
