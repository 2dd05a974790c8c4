package app.jerboa.server.people;

/** A member of a job. */
record MemberRow(long id, String login, String name, String role) {}
