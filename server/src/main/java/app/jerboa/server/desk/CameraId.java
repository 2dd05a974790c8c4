package app.jerboa.server.desk;

/** One camera of one job. */
record CameraId(long job, long device) {}
