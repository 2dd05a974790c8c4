package app.jerboa.server.desk;

import app.jerboa.core.motion.Feel;

/**
 * On what terms a camera is taken.
 *
 * @param leaseEnds by {@link System#nanoTime()}
 */
record Taking(long leaseEnds, Gate gate, Feel feel) {}
