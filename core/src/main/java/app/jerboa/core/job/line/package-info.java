/**
 * The checks of the lines: each camera's numbers, keys, routes, formats and outputs, on one {@link
 * app.jerboa.core.job.line.LinePlan}.
 */
package app.jerboa.core.job.line;
