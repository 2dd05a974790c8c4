/** UDP to one endpoint. */
package app.jerboa.wire.link.udp;
