/**
 * The model of one installation: a job, its items, its houses' habits and numbering, and the index
 * over its kit. What the rules make of it lives in the packages below.
 */
package app.jerboa.core.job;
