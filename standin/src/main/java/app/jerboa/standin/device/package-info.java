/** Simulated devices: a state and what a command makes of it, and the sockets they answer on. */
package app.jerboa.standin.device;
