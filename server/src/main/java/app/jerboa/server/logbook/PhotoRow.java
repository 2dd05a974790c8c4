package app.jerboa.server.logbook;

/** A stored photo. */
@SuppressWarnings("ArrayRecordComponent")
record PhotoRow(byte[] jpeg) {}
