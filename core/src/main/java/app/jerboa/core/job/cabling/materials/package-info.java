/** What a job's cabling is made of: cuts from reels, leads, ends, supplies, spares, prices. */
package app.jerboa.core.job.cabling.materials;
