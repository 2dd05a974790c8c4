/** The panel link over a TCP connection. Nothing is null. */
package app.jerboa.wire.link.panel;
