/** The desk: driving cameras by stick over a WebSocket, and the stop contract that guards it. */
package app.jerboa.server.desk;
