/** Cabling: the drawing, each run's sums, what could be joined, and what it is all made of. */
package app.jerboa.server.cabling;
