package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** Where devices of different makes differ in the same protocol. */
public enum Habit {
    /** A repeated number is answered with "wrong number" and not with the same answer again. */
    REFUSES_REPEATS,
    /** It answers to VISCA's own port at the asker, whatever port asked. */
    ANSWERS_TO_OWN_PORT,
    /** Stopping the drive does not end a recall that is under way. */
    STOP_LEAVES_RECALLS,
    /** A second move is refused while one is under way, and does not take its place. */
    ONE_MOVE_AT_A_TIME,
    /** It counts finer, and tells its position in five nibbles each instead of four. */
    FIVE_NIBBLES,
    /** One client by TCP, and no more. */
    ONE_TCP_CLIENT;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
