/**
 * The rig's HTTP control interface, on loopback only: the technician's hands in the simulated hall.
 */
package app.jerboa.standin.control;
