/** Links to devices: what carries octets, and the log of what went over. Knows nothing of jobs. */
package app.jerboa.wire.link;
