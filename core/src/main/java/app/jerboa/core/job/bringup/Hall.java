package app.jerboa.core.job.bringup;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Secret;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Secrets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A job as the steps of a bring-up look at it, with nothing searched twice. */
public final class Hall {
    private final Cabling cabling;
    private final Map<DeviceId, Secret> passwords = new HashMap<>();
    private final Map<DeviceId, List<Line>> keyed = new HashMap<>();

    private Hall(Cabling cabling) {
        this.cabling = cabling;
        for (Secret s : cabling.job().secrets()) {
            if (s.isPassword()) {
                s.device().ifPresent(d -> passwords.putIfAbsent(d, s));
            }
        }
        for (Line line : cabling.job().lines()) {
            line.keys().map(Line.Key::controller).distinct().forEach(c -> add(c, line));
        }
    }

    public static Hall of(Job job) {
        return new Hall(Cabling.of(job));
    }

    private void add(DeviceId controller, Line line) {
        keyed.computeIfAbsent(controller, c -> new ArrayList<>()).add(line);
    }

    public Cabling cabling() {
        return cabling;
    }

    Job job() {
        return cabling.job();
    }

    Device device(DeviceId id) {
        return cabling.kit().device(id);
    }

    Optional<Secret> password(DeviceId device) {
        return Optional.ofNullable(passwords.get(device));
    }

    /** The first key or passphrase of a use, the device's own before the house's. */
    Optional<Secret> secret(DeviceId device, String use) {
        return job().secrets().stream()
                .filter(s -> s.use().equals(use))
                .filter(s -> s.device().isEmpty() || s.device().get().equals(device))
                .max(Comparator.comparing((Secret s) -> s.device().isPresent()));
    }

    Optional<Secret> wireless(DeviceId device) {
        return secret(device, Secrets.WIRELESS);
    }

    /** The lines on a controller's keys, in line order. */
    List<Line> keyed(DeviceId controller) {
        return keyed.getOrDefault(controller, List.of());
    }
}
