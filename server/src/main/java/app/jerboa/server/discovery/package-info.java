/** Looks for devices on the network of a job, within its bounds, and says which each is. */
package app.jerboa.server.discovery;
