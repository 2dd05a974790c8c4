/** The messages of WS-Discovery (SOAP 1.2 over UDP 3702): the probe, and what answers it. */
package app.jerboa.wire.discovery;
