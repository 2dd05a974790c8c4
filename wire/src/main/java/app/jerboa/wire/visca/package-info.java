/**
 * The VISCA codec: frames, requests, replies and the UDP header, pure octets in and values out.
 * Imports {@code octets} only; nothing is null.
 */
package app.jerboa.wire.visca;
