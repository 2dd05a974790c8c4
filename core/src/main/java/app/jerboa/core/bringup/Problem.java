package app.jerboa.core.bringup;

import java.util.List;

/**
 * What one technician has to order.
 *
 * @param hop seconds a change of the laptop's place takes
 * @param verify seconds for each chain at the very end, after the laptop is home and every boot is
 *     over; 0 when chains hold their own verification
 */
record Problem(List<Chain> chains, int hop, int verify) {
    Problem {
        chains = List.copyOf(chains);
    }

    boolean verifiesLast() {
        return verify > 0;
    }

    int groups() {
        return chains.stream().mapToInt(Chain::rivals).max().orElse(-1) + 1;
    }
}
