/**
 * The wiring as network switches tell it, beside the wiring that is planned. Imports the cabling
 * and the item edits.
 */
package app.jerboa.core.job.cabling.seen;
