/**
 * The job as one file, {@code *.jerboa.json}: written loss-free and in a fixed order, read
 * strictly, described by its schema.
 */
package app.jerboa.server.jobfile;
