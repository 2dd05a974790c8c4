package app.jerboa.server.world;

import java.util.List;
import java.util.stream.Collectors;

/** What an address answers to the laptop. */
public sealed interface Reach {
    <R> R match(Cases<R> cases);

    /** One answer each. */
    interface Cases<R> {
        R elsewhere(Elsewhere it);

        R silent(Silent it);

        R fighting(Fighting it);

        R one(One it);
    }

    /** The laptop is in another subnet, so that it cannot be told. */
    record Elsewhere(String laptop) implements Reach {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.elsewhere(this);
        }
    }

    /** No device has the address, or it does not answer. */
    record Silent() implements Reach {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.silent(this);
        }
    }

    /** Several devices have the address. */
    record Fighting(List<String> names) implements Reach {
        public Fighting {
            names = List.copyOf(names);
            if (names.size() < 2) {
                throw new IllegalArgumentException("one alone does not fight: " + names);
            }
        }

        /** All of them, for a sentence. */
        public String all() {
            return names.stream().collect(Collectors.joining(" and "));
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.fighting(this);
        }
    }

    record One(Answering answering) implements Reach {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.one(this);
        }
    }
}
