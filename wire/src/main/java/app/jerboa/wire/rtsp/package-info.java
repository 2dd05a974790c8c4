/**
 * What is said and answered when a camera describes its network picture (RTSP, RFC 2326; SDP, RFC
 * 8866; Digest, RFC 7616). Pure: no socket, no clock. Nothing is null.
 */
package app.jerboa.wire.rtsp;
