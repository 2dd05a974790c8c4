package app.jerboa.standin.lan;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Steering;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.device.NetworkSettings;
import java.time.InstantSource;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;

/** Things of the house that no plan knows: they hold an address, and answer to nothing else. */
final class Strangers {
    private Strangers() {}

    static RigDevice at(
            FactoryAddress address, int number, InstantSource world, RigDevice.Around around) {
        Profile profile = Profile.bare("house-gear", "House gear", Sort.LAPTOP);
        Device device =
                new Device(
                        new DeviceId(-1L - number),
                        "House gear",
                        profile,
                        String.format(Locale.ROOT, "02:99:00:00:00:%02x", number & 0xFF),
                        "",
                        "",
                        "new",
                        "",
                        Optional.of(address.address()),
                        address.prefix(),
                        Optional.empty(),
                        false,
                        Optional.empty(),
                        new Device.Centre(
                                OptionalInt.empty(), OptionalInt.empty(), OptionalInt.empty()),
                        new Device.AsSet(
                                OptionalInt.empty(),
                                "",
                                "",
                                false,
                                false,
                                OptionalInt.empty(),
                                OptionalInt.empty()),
                        Steering.PLAIN,
                        Optional.empty());
        RigDevice gear = new RigDevice(device, Optional.empty(), false, world, around);
        gear.set(
                gear.condition()
                        .with(new NetworkSettings(address.address(), address.prefix(), ""), false));
        return gear;
    }
}
