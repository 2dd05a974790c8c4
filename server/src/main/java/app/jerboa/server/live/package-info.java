/**
 * What others do, as it happens: changes told between server processes by LISTEN and NOTIFY and to
 * open pages by an event stream; who is here.
 */
package app.jerboa.server.live;
