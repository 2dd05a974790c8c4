/** Passwords and keys: what a device takes, making one that can be typed there, and typing it. */
package app.jerboa.core.job.secret;
