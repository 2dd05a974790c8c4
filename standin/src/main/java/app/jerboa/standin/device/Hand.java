package app.jerboa.standin.device;

import app.jerboa.core.value.Kebab;
import java.util.Optional;

/** What a technician does at one device. */
public sealed interface Hand {
    <R> R match(Cases<R> cases);

    /** One case a hand. */
    interface Cases<R> {
        R reset(Reset it);

        R login(Login it);

        R remote(Remote it);

        R save(Save it);

        R lease(Lease it);

        R turn(Turn it);

        R infrared(Infrared it);

        R update(Update it);

        R balance(Balance it);

        R calibrate(Calibrate it);
    }

    /** Holds its reset: of the network alone, or of everything. */
    record Reset(boolean networkOnly) implements Hand {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.reset(this);
        }
    }

    /**
     * Logs in at its page.
     *
     * @param right the password was the right one
     * @param clock date, time and zone were given
     */
    record Login(boolean right, boolean clock) implements Hand {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.login(this);
        }
    }

    /** Allows remote control, or forbids it. */
    record Remote(boolean on) implements Hand {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.remote(this);
        }
    }

    /**
     * Saves other network settings, after which it restarts.
     *
     * @param cut the power went while it saved
     */
    record Save(NetworkSettings settings, Optional<Cut> cut) implements Hand {
        /** What is left of it. */
        public enum Cut {
            /** The old ones stood still in its memory. */
            KEEPS_OLD,
            /** Neither the old nor the new: it goes back to the factory's. */
            GARBAGE;

            @Override
            public String toString() {
                return Kebab.of(this);
            }
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.save(this);
        }
    }

    /** Switches it to a lease, or away from it. */
    record Lease(boolean on) implements Hand {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lease(this);
        }
    }

    /**
     * Turns one of its dials or menus.
     *
     * @param dial {@code number}, {@code baud}, {@code mode}, {@code format}, or one of {@link
     *     Condition#SWITCHES} with {@code on} or {@code off}
     */
    record Turn(String dial, String to) implements Hand {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turn(this);
        }
    }

    /**
     * Points a hand remote at it.
     *
     * @param number that the remote is set to
     * @param asks it sends the combination for a lease
     */
    record Infrared(int number, boolean asks) implements Hand {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.infrared(this);
        }
    }

    /** Loads other firmware. */
    record Update(String version) implements Hand {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.update(this);
        }
    }

    /** Balances the head, or knocks it out of balance. */
    record Balance(boolean on) implements Hand {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.balance(this);
        }
    }

    /** Lets the zoom motor find its ends. */
    record Calibrate() implements Hand {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.calibrate(this);
        }
    }
}
