/**
 * The world commands go to. In this version that is the stand-in rig, reached over HTTP on
 * loopback: its virtual LAN says who would answer to an address from this laptop.
 */
package app.jerboa.server.world;
