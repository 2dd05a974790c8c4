/** What is wrong with runs: sockets, power, serial lines, pictures, streams. Nothing is null. */
package app.jerboa.core.job.cabling.check;
