package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Secrets;
import java.util.Optional;

/**
 * A password, key or passphrase. What it is, only the server can tell.
 *
 * @param device it belongs to; empty when it is the house's
 * @param use one of {@link Secrets#USES}
 * @param name the user, the network or the service it belongs to; may be blank
 * @param sealed encrypted
 * @param fingerprint the same for the same secret
 * @param origin one of {@link Secrets#ORIGINS}
 */
public record Secret(
        long id,
        Optional<DeviceId> device,
        String use,
        String name,
        String sealed,
        String fingerprint,
        String origin)
        implements JobItem {
    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.SECRET, id);
    }

    public boolean isPassword() {
        return use.equals(Secrets.PASSWORD);
    }

    @Override
    public String toString() {
        return "Secret[" + id + ", " + use + "]";
    }
}
