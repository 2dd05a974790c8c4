/** Frames as files that other programs read. */
package app.jerboa.wire.capture;
