package app.jerboa.core.job.kit;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Prepared;
import app.jerboa.core.profile.Need;
import app.jerboa.core.profile.NeedKind;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Recovery;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The list to be worked through before the van leaves, from the kit as it stands. */
public final class Preparation {
    private static final Set<NeedKind> FROM_THE_INTERNET =
            EnumSet.of(
                    NeedKind.FIRMWARE,
                    NeedKind.UPDATER,
                    NeedKind.APP,
                    NeedKind.DRIVER,
                    NeedKind.ACCOUNT,
                    NeedKind.DOCUMENT);

    /** Why a thing is on the list. */
    public enum Reason {
        /** It can only be had with internet. */
        FETCH,
        /** It must be on the van, charged or loaded. */
        PACK,
        /** Somebody else had it before. */
        RESET
    }

    /**
     * One thing to do.
     *
     * @param device it is done for; empty when once is enough for all of the profile
     * @param kind for example {@code firmware}, or {@code reset}
     * @param how how to do it; may be blank
     * @param devices it concerns, never empty
     * @param done who ticked it, if anybody did
     */
    public record Task(
            Optional<DeviceId> device,
            Profile profile,
            Reason reason,
            String kind,
            String what,
            String how,
            List<Device> devices,
            Optional<Prepared> done) {}

    private record Key(Optional<DeviceId> device, String profile, String what) {}

    private final Map<Key, Prepared> done = new HashMap<>();
    private final List<Task> tasks = new ArrayList<>();

    private Preparation(Job job) {
        job.prepared().forEach(p -> done.put(new Key(p.device(), p.profile(), p.what()), p));
    }

    /** Profile by profile in the order of the kit: what is done once, then device by device. */
    public static List<Task> of(Job job) {
        Map<String, List<Device>> byProfile = new LinkedHashMap<>();
        for (Device d : job.devices()) {
            byProfile.computeIfAbsent(d.profile().id(), p -> new ArrayList<>()).add(d);
        }
        Preparation list = new Preparation(job);
        byProfile.values().forEach(list::add);
        return List.copyOf(list.tasks);
    }

    private void add(List<Device> devices) {
        Profile profile = devices.get(0).profile();
        for (Need need : profile.before()) {
            if (!need.each()) {
                add(
                        Optional.empty(),
                        profile,
                        reason(need),
                        need.kind() + "",
                        need.what(),
                        devices);
            }
        }
        for (Device d : devices) {
            List<Device> one = List.of(d);
            for (Need need : profile.before()) {
                if (need.each()) {
                    add(
                            Optional.of(d.id()),
                            profile,
                            reason(need),
                            need.kind() + "",
                            need.what(),
                            one);
                }
            }
            if (!d.condition().equals("new")) {
                String what = d.condition() + ": reset, then its network and users";
                add(Optional.of(d.id()), profile, Reason.RESET, "reset", what, one);
            }
        }
    }

    private static Reason reason(Need need) {
        return FROM_THE_INTERNET.contains(need.kind()) ? Reason.FETCH : Reason.PACK;
    }

    private void add(
            Optional<DeviceId> device,
            Profile profile,
            Reason reason,
            String kind,
            String what,
            List<Device> devices) {
        String how =
                reason == Reason.RESET ? profile.recovery().map(Recovery::reset).orElse("") : "";
        Optional<Prepared> ticked =
                Optional.ofNullable(done.get(new Key(device, profile.id(), what)));
        tasks.add(new Task(device, profile, reason, kind, what, how, devices, ticked));
    }
}
