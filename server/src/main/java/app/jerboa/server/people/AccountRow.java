package app.jerboa.server.people;

/** One row of {@code account}. */
record AccountRow(long id, String login, String name, String passwordHash) {
    @Override
    public String toString() {
        return "AccountRow[" + login + "]";
    }
}
