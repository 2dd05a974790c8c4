package app.jerboa.core.job.cabling.drawing;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Runs one after the other: a station, a run, the next station.
 *
 * @param links at least one; each starts where the one before it ended, or starts anew
 */
record Strand(List<Link> links) {
    private static final Set<Signal> PICTURES =
            EnumSet.of(Signal.SDI, Signal.HDMI, Signal.COMPOSITE);

    Strand {
        links = List.copyOf(links);
    }

    Device first() {
        return links.get(0).source().device();
    }

    /** From what makes a picture through converters to what takes it, by load and input. */
    static List<Strand> pictures(Cabling cabling) {
        List<Strand> strands = new ArrayList<>();
        for (Link link : cabling.links()) {
            if (PICTURES.contains(link.signal()) && !between(cabling, link.source().device())) {
                strands.add(follow(cabling, link));
            }
        }
        strands.sort(
                Comparator.comparing((Strand s) -> s.last().device().id())
                        .thenComparing(s -> s.last().socket().port().name())
                        .thenComparing(s -> s.last().socket().number()));
        return strands;
    }

    Link.Plug last() {
        return links.get(links.size() - 1).load();
    }

    /** A converter that a picture comes into. */
    private static boolean between(Cabling cabling, Device d) {
        return d.profile().sort() == Sort.CONVERTER
                && PICTURES.stream().anyMatch(s -> cabling.into(d.id(), s).findAny().isPresent());
    }

    private static Strand follow(Cabling cabling, Link first) {
        List<Link> links = new ArrayList<>(List.of(first));
        Optional<Link> next = onward(cabling, first);
        while (next.isPresent() && !links.contains(next.get())) {
            links.add(next.get());
            next = onward(cabling, next.get());
        }
        return new Strand(links);
    }

    private static Optional<Link> onward(Cabling cabling, Link link) {
        Device d = link.load().device();
        return d.profile().sort() == Sort.CONVERTER
                ? PICTURES.stream().flatMap(s -> cabling.outOf(d.id(), s)).findFirst()
                : Optional.empty();
    }

    static List<Strand> serial(List<ChainOrBus> lines, Signal signal) {
        return lines.stream()
                .filter(l -> l.signal() == signal)
                .map(l -> new Strand(l.links()))
                .toList();
    }

    static List<Strand> each(Cabling cabling, Predicate<Link> which) {
        return cabling.links().stream().filter(which).map(l -> new Strand(List.of(l))).toList();
    }
}
