/**
 * The stand-in rig, reached over HTTP on loopback: its hall furnished from a job, what a technician
 * would do by hand in it, and the {@code World} that it makes.
 */
package app.jerboa.server.rig;
