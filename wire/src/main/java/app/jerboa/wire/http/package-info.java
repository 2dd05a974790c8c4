/**
 * Requests to a device's own web server as a profile states them, and what is found in the answers.
 * Pure: no socket, no clock. Nothing is null.
 */
package app.jerboa.wire.http;
