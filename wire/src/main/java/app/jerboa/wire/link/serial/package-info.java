/** A serial port of this machine. */
package app.jerboa.wire.link.serial;
