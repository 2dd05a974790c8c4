/** Lines made from the kit, their order, and how each function of each camera is controlled. */
package app.jerboa.server.lines;
