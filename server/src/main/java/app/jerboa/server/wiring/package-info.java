/** Network switches asked which device hangs on which port, beside the runs that are planned. */
package app.jerboa.server.wiring;
