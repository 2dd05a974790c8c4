package app.jerboa.core.job.control;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.profile.Audio;
import app.jerboa.core.profile.AudioWay;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.Port;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Speaks;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Every way from a controller to a camera that protocols allow, straight or through one thing
 * between. Cameras of one profile with the same things fitted share them.
 */
final class Ways {
    private static final Set<Sort> DRIVING_VIDEO =
            EnumSet.of(
                    Sort.VIDEO_SWITCHER, Sort.COMPUTER_SWITCHER, Sort.RECORDER, Sort.BASE_STATION);
    private static final Map<AudioWay, Join> SOUND_INTO =
            Map.of(
                    AudioWay.SDI, Join.SDI_IN,
                    AudioWay.HDMI, Join.HDMI_IN,
                    AudioWay.STREAM, Join.ETHERNET,
                    AudioWay.USB, Join.USB_HOST);
    private static final Map<AudioWay, Transport> SOUND_OVER =
            Map.of(
                    AudioWay.SDI, Transport.SDI,
                    AudioWay.HDMI, Transport.LEAD,
                    AudioWay.STREAM, Transport.UDP,
                    AudioWay.USB, Transport.USB);

    /** Straight, or through one thing; carries what every part of it carries. */
    record Way(Device by, Speaks sends, List<Device> through, Speaks answers) {
        /** A camera and its zoom motor may answer alike; that is one way. */
        boolean alike(Way other) {
            return by.equals(other.by)
                    && sends.equals(other.sends)
                    && through.equals(other.through)
                    && answers.protocol() == other.answers.protocol();
        }
    }

    private final KitIndex kit;
    private final List<Device> controllers;
    private final List<Device> between;
    private final List<Device> soundLoads;
    private final Map<String, Map<RemoteFunction, Found>> known =
            Collections.synchronizedMap(new HashMap<>());

    Ways(Job job, KitIndex kit) {
        this.kit = kit;
        controllers = job.devices().stream().filter(Ways::drives).toList();
        between = job.devices().stream().filter(Ways::translates).toList();
        soundLoads =
                job.devices().stream()
                        .filter(d -> d.profile().kind() == DeviceKind.VIDEO)
                        .filter(d -> d.profile().audio().isPresent())
                        .toList();
    }

    private static boolean drives(Device d) {
        return (d.profile().kind() == DeviceKind.CONTROLLER
                        || DRIVING_VIDEO.contains(d.profile().sort()))
                && d.profile().speaks().stream().anyMatch(Speaks::sends);
    }

    /** It takes control in on one side and gives it out on the other. */
    private static boolean translates(Device d) {
        DeviceKind kind = d.profile().kind();
        return (kind == DeviceKind.LINK || kind == DeviceKind.VIDEO)
                && d.profile().speaks().stream().anyMatch(Speaks::sends)
                && d.profile().speaks().stream().anyMatch(s -> !s.sends());
    }

    /** The ways for one function, also by controller. */
    static final class Found {
        static final Found NONE = new Found();

        private final List<Way> all = new ArrayList<>();
        private final Map<DeviceId, List<Way>> by = new HashMap<>();
        private final List<Way> keyless = new ArrayList<>();

        private void add(Way way) {
            List<Way> same = by.computeIfAbsent(way.by().id(), d -> new ArrayList<>());
            if (same.stream().noneMatch(way::alike)) {
                same.add(way);
                all.add(way);
                if (way.by().profile().keys().isEmpty()) {
                    keyless.add(way);
                }
            }
        }

        List<Way> all() {
            return all;
        }

        List<Way> by(DeviceId controller) {
            return by.getOrDefault(controller, List.of());
        }

        /** By whatever has no keys for its cameras. */
        List<Way> keyless() {
            return keyless;
        }
    }

    Found to(Device camera, RemoteFunction function) {
        List<Device> fitted = kit.fitted(camera.id());
        String sort =
                camera.profile().id()
                        + fitted.stream().map(d -> d.profile().id()).sorted().toList();
        return known.computeIfAbsent(sort, s -> all(camera, fitted))
                .getOrDefault(function, Found.NONE);
    }

    private Map<RemoteFunction, Found> all(Device camera, List<Device> fitted) {
        List<Speaks> ends = new ArrayList<>(answers(camera));
        fitted.stream()
                .filter(d -> d.profile().kind() == DeviceKind.ACCESSORY)
                .forEach(d -> ends.addAll(answers(d)));
        List<Passing> passings = passings(ends);
        Map<RemoteFunction, Found> ways = new EnumMap<>(RemoteFunction.class);
        for (Device by : controllers) {
            for (Speaks sends : sends(by)) {
                straight(by, sends, ends, ways);
                through(by, sends, passings, ways);
            }
        }
        sound(camera, ways);
        fitted.forEach(d -> sound(d, ways));
        return ways;
    }

    private static void straight(
            Device by, Speaks sends, List<Speaks> ends, Map<RemoteFunction, Found> ways) {
        for (Speaks end : ends) {
            if (meets(sends, end)) {
                add(new Way(by, sends, List.of(), end), ways, sends, end);
            }
        }
    }

    /** What comes in at a device in the middle and goes out of it to the camera. */
    private record Passing(Device middle, Speaks in, Speaks out, Speaks end) {}

    private List<Passing> passings(List<Speaks> ends) {
        List<Passing> passings = new ArrayList<>();
        for (Device middle : between) {
            for (Speaks in : answers(middle)) {
                for (Speaks out : sends(middle)) {
                    for (Speaks end : ends) {
                        if (meets(out, end)) {
                            passings.add(new Passing(middle, in, out, end));
                        }
                    }
                }
            }
        }
        return passings;
    }

    private static void through(
            Device by, Speaks sends, List<Passing> passings, Map<RemoteFunction, Found> ways) {
        for (Passing p : passings) {
            if (!p.middle().equals(by) && meets(sends, p.in())) {
                Way way = new Way(by, sends, List.of(p.middle()), p.end());
                add(way, ways, sends, p.in(), p.out(), p.end());
            }
        }
    }

    private static void add(Way way, Map<RemoteFunction, Found> ways, Speaks... parts) {
        Set<RemoteFunction> carries = EnumSet.allOf(RemoteFunction.class);
        for (Speaks part : parts) {
            carries.retainAll(part.carries());
        }
        for (RemoteFunction f : carries) {
            ways.computeIfAbsent(f, x -> new Found()).add(way);
        }
    }

    /** Sound goes inside the picture to what takes pictures in and can give sound out. */
    private void sound(Device from, Map<RemoteFunction, Found> ways) {
        Audio audio = from.profile().audio().filter(a -> a.inputs() > 0).orElse(null);
        if (audio == null) {
            return;
        }
        for (AudioWay way : audio.embedsInto()) {
            Speaks inside =
                    new Speaks(
                            Protocol.EMBEDDED,
                            SOUND_OVER.get(way),
                            OptionalInt.empty(),
                            false,
                            false,
                            false,
                            List.of(RemoteFunction.AUDIO));
            for (Device load : soundLoads) {
                if (joins(load).contains(SOUND_INTO.get(way))) {
                    add(new Way(load, inside, List.of(), inside), ways, inside);
                }
            }
        }
    }

    private static Set<Join> joins(Device d) {
        return d.profile().ports().stream().map(Port::join).collect(Collectors.toSet());
    }

    private static boolean meets(Speaks sends, Speaks answers) {
        return sends.protocol() == answers.protocol() && sends.over() == answers.over();
    }

    private static List<Speaks> sends(Device d) {
        return d.profile().speaks().stream().filter(Speaks::sends).toList();
    }

    private static List<Speaks> answers(Device d) {
        return d.profile().speaks().stream().filter(s -> !s.sends()).toList();
    }

    /** What is fitted to another camera is no way to this one. */
    static boolean open(Way way, DeviceId camera) {
        return way.through().stream().allMatch(d -> d.fitted().map(camera::equals).orElse(true));
    }
}
