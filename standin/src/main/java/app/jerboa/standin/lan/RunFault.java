package app.jerboa.standin.lan;

import app.jerboa.core.value.Kebab;

/** What is wrong with a lead that looks right. */
public enum RunFault {
    /** Its ends are pinned differently, or a pair is split: nothing gets through. */
    MIS_PINNED,
    /** + and - are changed over. */
    CROSSED,
    /** It is turned round: OUT where IN belongs. */
    TURNED,
    /** A conductor is broken. */
    BROKEN,
    /** Too long for what goes over it: octets arrive damaged. */
    NOISY,
    /** Only one direction of it is subscribed at the decoder. */
    ONE_WAY;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
