/**
 * Sockets to devices. One thread reads them all; whoever sends, sends: a stop needs no other thread
 * to go out.
 */
package app.jerboa.wire.link.net;
