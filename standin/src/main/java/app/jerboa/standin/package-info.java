/**
 * The stand-in rig: simulated devices that speak the real protocols on real loopback sockets, and
 * the virtual LAN they live in. A process of its own with a small HTTP control interface.
 */
package app.jerboa.standin;
