/**
 * Shot lists: shown with the time that their cameras need, printed, and run by hand, while the
 * cameras of the takes to come are sent ahead off air.
 */
package app.jerboa.server.shot;
