package app.jerboa.server.run;

/** Which run: a job has one of each kind. */
record RunKey(long jobId, String kind) {}
