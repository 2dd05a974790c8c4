/** Requests to a device's own web server over real sockets. Nothing is null. */
package app.jerboa.wire.link.http;
