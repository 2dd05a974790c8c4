package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Run;
import app.jerboa.core.power.Copper;
import app.jerboa.core.power.PoeRun;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.Port;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Optional;

/** What feeds each device over which run, and what each run loses. At 20 °C. */
public final class PowerPlan {
    /** A DC device without a stated least works down to nominal less 10 %. */
    public static final double LEAST_SHARE = 0.9;

    private static final double CELSIUS = 20;

    private final Cabling cabling;
    private final Feeds feeds;

    private PowerPlan(Cabling cabling) {
        this.cabling = cabling;
        this.feeds = Feeds.of(cabling.job());
    }

    public static PowerPlan of(Cabling cabling) {
        return cabling.job().worked(PowerPlan.class, () -> new PowerPlan(cabling));
    }

    /** Ports of power come first, then the network ports in their order, as many as give. */
    public static boolean gives(Link.Plug plug) {
        Optional<PowerSource> source = plug.device().profile().gives();
        if (source.isEmpty() || source.get().poePorts() == 0) {
            return false;
        }
        Port own = plug.socket().port();
        int before = 0;
        boolean met = false;
        for (Port port : plug.device().profile().ports()) {
            boolean ethernet = port.join() == Join.ETHERNET;
            if (ethernet && port.use() == PortUse.POWER) {
                return own.use() == PortUse.POWER;
            }
            met |= port.equals(own);
            before += ethernet && !met ? port.count() : 0;
        }
        return met && before + plug.socket().number() <= source.get().poePorts();
    }

    /** Ohm of the whole loop over a run of DC, whatever its length was. */
    public static double dcOhms(double metres, int gauge, boolean clad, int conductors) {
        return 2 * Copper.ohmsPerMetre(gauge, CELSIUS, clad) * metres / conductors;
    }

    /** Ohm of the whole loop over a run of power over Ethernet, with its connectors. */
    public static double poeOhms(double metres, int gauge, boolean clad, int pairs) {
        double copper = Copper.ohmsPerMetre(gauge, CELSIUS, clad);
        return PoeRun.ohms(metres, copper, pairs, PoeRun.CONNECTORS);
    }

    /** The least DC volts a device works with; 0 when its profile names none. */
    public static double leastVolts(Device d) {
        return d.profile()
                .draw()
                .map(x -> x.leastVolts().orElse(x.volts().orElse(0) * LEAST_SHARE))
                .orElse(0.0);
    }

    public Cabling cabling() {
        return cabling;
    }

    /** In the order of the devices. */
    public List<Feed> feeds() {
        return feeds.all();
    }

    public Optional<Feed> to(DeviceId device) {
        return feeds.to(device);
    }

    public Optional<Feed> over(Run run) {
        return feeds.over(run);
    }

    /** What a device gives, by its ports; the very same list while it is the same. */
    public List<Feed> from(DeviceId source) {
        return feeds.from(source);
    }
}
