/**
 * One wire that several devices share: whose turn it is, how much it takes, and what its faults
 * look like.
 */
package app.jerboa.wire.link.line;
