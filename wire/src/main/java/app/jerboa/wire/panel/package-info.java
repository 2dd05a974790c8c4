/** The panel link's messages: one JSON object a line. Pure. Nothing is null. */
package app.jerboa.wire.panel;
