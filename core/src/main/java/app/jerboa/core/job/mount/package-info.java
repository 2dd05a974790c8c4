/** What hangs where and whether it is in balance: sums and rules of mounting. */
package app.jerboa.core.job.mount;
