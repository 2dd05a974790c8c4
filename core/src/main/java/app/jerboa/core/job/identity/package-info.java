/**
 * One camera, one number: label, control ID, keys, input and address should agree, and the cheapest
 * way to make them.
 */
package app.jerboa.core.job.identity;
