/** The address plan of a job: what re-planning would move, and the sheet as a file. */
package app.jerboa.server.addresses;
