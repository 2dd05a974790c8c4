package app.jerboa.server.secrets;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Secret;
import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.PasswordRule;
import app.jerboa.server.job.Jobs;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Who we are to a device: its kept password, else the one that all of its kind share. */
@Component
public class DeviceAccounts {
    /**
     * What "the factory's" stands for where nobody has changed it; devices say theirs on a label.
     */
    private static final String FACTORY = "factory";

    private final Sealing sealing;

    DeviceAccounts(Sealing sealing) {
        this.sealing = sealing;
    }

    /** A user and a password, which no log shows. */
    public record Account(String user, String password) {
        @Override
        public String toString() {
            return "account of " + user;
        }
    }

    /** Empty where a device wants one and none is kept. */
    public Optional<Account> of(Jobs.Stored stored, Device device) {
        String user = device.profile().access().map(Access::user).orElse("");
        Optional<Secret> kept = stored.job().password(device.id());
        if (kept.isPresent()) {
            String name = kept.get().name().isEmpty() ? user : kept.get().name();
            return Optional.of(new Account(name, sealing.open(kept.get().sealed())));
        }
        boolean factory =
                device.profile()
                        .access()
                        .filter(a -> a.password() == PasswordRule.FACTORY)
                        .isPresent();
        return factory ? Optional.of(new Account(user, FACTORY)) : Optional.empty();
    }
}
