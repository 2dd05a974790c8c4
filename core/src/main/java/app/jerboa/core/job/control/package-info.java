/**
 * How each function of each camera is controlled: the ways there are, and the one that is planned.
 */
package app.jerboa.core.job.control;
