/**
 * Rules over a whole job that are no discipline of their own: the kit's identity, what must be done
 * before the van leaves, formats, firmware, the house's habits.
 */
package app.jerboa.core.job.check;
