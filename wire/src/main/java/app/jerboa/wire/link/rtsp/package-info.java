/** Asks a camera to describe its network picture; no picture is fetched. */
package app.jerboa.wire.link.rtsp;
