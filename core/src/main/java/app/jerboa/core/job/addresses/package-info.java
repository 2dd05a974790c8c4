/**
 * The address plan as other programs and people take it: rows, host names, reservations, what-ifs.
 */
package app.jerboa.core.job.addresses;
