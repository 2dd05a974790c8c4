/** Pictures on leads and networks: what a lead lets through, what a stream takes. */
package app.jerboa.core.video;
