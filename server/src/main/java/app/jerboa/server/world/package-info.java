/**
 * The network that a job's commands go to: what answers at an address, and a link to the one that
 * does. The rig is one such network.
 */
package app.jerboa.server.world;
