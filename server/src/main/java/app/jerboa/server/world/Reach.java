package app.jerboa.server.world;

import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
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
    record Fighting(List<Answering> rivals) implements Reach {
        public Fighting {
            rivals = List.copyOf(rivals);
            if (rivals.size() < 2) {
                throw new IllegalArgumentException("one alone does not fight: " + rivals);
            }
        }

        /** All of them, for a sentence. */
        public String all() {
            return rivals.stream().map(Answering::name).collect(Collectors.joining(" and "));
        }

        /** Theirs, each once, as far as the network tells. */
        public SortedSet<String> macs() {
            return rivals.stream()
                    .map(Answering::mac)
                    .filter(m -> !m.isEmpty())
                    .collect(Collectors.toCollection(TreeSet::new));
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
