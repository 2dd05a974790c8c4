/**
 * The live network: this machine's own interfaces and sockets, and what may be contacted at all.
 */
package app.jerboa.server.network;
