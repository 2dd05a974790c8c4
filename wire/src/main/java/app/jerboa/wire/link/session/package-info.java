/** A conversation with one camera: replies matched to requests, time-outs, resends, the stop. */
package app.jerboa.wire.link.session;
