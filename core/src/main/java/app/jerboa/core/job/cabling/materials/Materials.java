package app.jerboa.core.job.cabling.materials;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Habits;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Price;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.job.cabling.drawing.CableWords;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.serial.Leads;
import app.jerboa.core.value.Lengths;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;

/**
 * Everything that the runs of a job are made of.
 *
 * @param cuts by material, in the order of the runs
 * @param list one line for each material, cable first
 */
public record Materials(List<Cut> cuts, List<Material> list) {
    private static final Set<Cable> READY_MADE =
            EnumSet.of(
                    Cable.SERIAL,
                    Cable.HDMI,
                    Cable.HDMI_ACTIVE,
                    Cable.USB_2,
                    Cable.USB_3,
                    Cable.USB_EXTENDER);

    /** Lengths that leads are commonly sold in, in metres. */
    private static final List<Double> SHOP =
            List.of(0.5, 1.0, 2.0, 3.0, 5.0, 10.0, 15.0, 20.0, 30.0);

    public Materials {
        cuts = List.copyOf(cuts);
        list = List.copyOf(list);
    }

    /** In hundredths, of everything that has a price. */
    public long cost() {
        return list.stream().mapToLong(Material::cost).sum();
    }

    /** How many lines have no price yet. */
    public long unpriced() {
        return list.stream().filter(m -> m.each().isEmpty()).count();
    }

    public static Materials of(Job job) {
        return new Counting(job).done();
    }

    /** Counts what one job needs. */
    private static final class Counting {
        private final Job job;
        private final Cabling cabling;
        private final Habits.Materials habits;
        private final Map<String, Double> metres = new TreeMap<>();
        private final Map<String, Integer> pieces = new LinkedHashMap<>();
        private final List<Cut> uncut = new ArrayList<>();

        Counting(Job job) {
            this.job = job;
            cabling = Cabling.of(job);
            habits = job.site().habits().materials();
        }

        Materials done() {
            for (Link link : cabling.links()) {
                if (READY_MADE.contains(link.run().cable())) {
                    lead(link);
                } else {
                    cut(link);
                }
            }
            terminators();
            supplies();
            return new Materials(dealt(), lines());
        }

        private void cut(Link link) {
            Run run = link.run();
            String material = cable(run);
            double length = run.metres() * (100 + habits.slack()) / 100;
            metres.merge(material, length, Double::sum);
            uncut.add(
                    new Cut(
                            material,
                            run.id(),
                            link.source().toString(),
                            link.load().toString(),
                            run.label(),
                            length,
                            0));
            ends(link);
        }

        private static String cable(Run run) {
            String gauge = run.wire() > 0 ? " AWG " + run.wire() : "";
            String clad = run.clad() ? ", copper-clad" : "";
            String laid =
                    switch (run.laid()) {
                        case "outdoor" -> ", for outdoors";
                        case "rated-jacket" -> ", rated jacket";
                        default -> "";
                    };
            return CableWords.of(run.cable()) + " cable" + gauge + clad + laid;
        }

        private void ends(Link link) {
            switch (link.signal()) {
                case NETWORK -> {
                    if (link.run().cable() == Cable.DATA) {
                        add("RJ45 plug", 2);
                    }
                }
                case SDI, COMPOSITE -> add("BNC plug for " + CableWords.of(link.run().cable()), 2);
                case RS_422, RS_485, TALLY -> add("ferrules for a pair", 2);
                case DC -> add("DC end", 2);
                default -> {}
            }
        }

        private void add(String what, int count) {
            pieces.merge(what, count, Integer::sum);
        }

        /** Serial leads by the lengths that the devices' makers offer, others by the shop's. */
        private void lead(Link link) {
            Run run = link.run();
            String name = CableWords.of(run.cable()) + (run.cable() == Cable.SERIAL ? "" : " lead");
            List<Double> offered = link.leadLengths();
            boolean serial = run.cable() == Cable.SERIAL && !offered.isEmpty();
            List<Double> leads = Leads.cover(run.metres(), serial ? offered : SHOP);
            if (leads.isEmpty()) {
                add(name + ", at least " + Lengths.text(run.metres()) + " m", 1);
            }
            leads.forEach(l -> add(name + " " + Lengths.text(l) + " m", 1));
        }

        /** Where a bus ends at a device that has no switch for it. */
        private void terminators() {
            for (Device d : job.devices()) {
                boolean builtIn = d.profile().serial().filter(s -> s.terminator()).isPresent();
                if (d.asSet().terminator()
                        && !builtIn
                        && cabling.at(d.id(), Signal.RS_485).findAny().isPresent()) {
                    add("terminator, 120 ohm", 1);
                }
            }
        }

        /** Whatever takes DC and is fed by nothing that is drawn. */
        private void supplies() {
            PowerPlan power = PowerPlan.of(cabling);
            for (Device d : job.devices()) {
                boolean waits =
                        d.profile()
                                .draw()
                                .filter(x -> x.volts().isPresent() && !x.battery() && !x.mains())
                                .isPresent();
                if (waits && power.to(d.id()).isEmpty() && !cabling.at(d.id()).isEmpty()) {
                    PowerDraw draw = d.profile().draw().orElseThrow();
                    add(
                            "supply "
                                    + Lengths.text(draw.volts().orElseThrow())
                                    + " V, at least "
                                    + (int) Math.ceil(draw.mostWatts())
                                    + " W",
                            1);
                }
            }
        }

        private List<Cut> dealt() {
            Map<String, List<Cut>> byMaterial = new TreeMap<>();
            uncut.forEach(
                    c -> byMaterial.computeIfAbsent(c.material(), m -> new ArrayList<>()).add(c));
            List<Cut> all = new ArrayList<>();
            for (List<Cut> cuts : byMaterial.values()) {
                int[] reels = Reels.deal(cuts.stream().map(Cut::metres).toList(), habits.reel());
                for (int i = 0; i < cuts.size(); i++) {
                    Cut c = cuts.get(i);
                    all.add(
                            new Cut(
                                    c.material(),
                                    c.run(),
                                    c.from(),
                                    c.to(),
                                    c.label(),
                                    c.metres(),
                                    reels[i]));
                }
            }
            return all;
        }

        private List<Material> lines() {
            Map<String, Integer> prices = new HashMap<>();
            for (Price p : job.prices()) {
                prices.put(p.material(), p.hundredths());
            }
            List<Material> lines = new ArrayList<>();
            metres.forEach(
                    (name, needed) ->
                            lines.add(new Material(name, "m", needed, 0, price(prices, name))));
            pieces.forEach(
                    (name, needed) ->
                            lines.add(
                                    new Material(
                                            name,
                                            "piece",
                                            needed,
                                            Math.ceil(needed * habits.spares() / 100.0),
                                            price(prices, name))));
            return lines;
        }

        private static OptionalInt price(Map<String, Integer> prices, String name) {
            Integer each = prices.get(name);
            return each == null ? OptionalInt.empty() : OptionalInt.of(each);
        }
    }
}
