package app.jerboa.core.job.cabling.materials;

/**
 * One piece of cable to be cut.
 *
 * @param run its id
 * @param metres with slack
 * @param reel it comes from, counted from 1 for each material; 0 where no reel holds that much
 */
public record Cut(
        String material, long run, String from, String to, String label, double metres, int reel) {}
