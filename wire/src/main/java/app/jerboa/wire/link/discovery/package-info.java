/** Sends probes of WS-Discovery over real sockets and takes in what answers. */
package app.jerboa.wire.link.discovery;
