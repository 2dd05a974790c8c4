/** Cabling as a drawing: computed places, no colours and no screen. Nothing is null. */
package app.jerboa.core.job.cabling.drawing;
