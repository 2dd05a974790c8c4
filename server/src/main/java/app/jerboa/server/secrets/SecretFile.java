package app.jerboa.server.secrets;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Secret;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.platform.InnerJson;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Secrets on their way into a job file and out of one, under a passphrase. */
@Component
public class SecretFile {
    /** One secret in clear; device 0 for one of the house. */
    private record Clear(long device, String use, String name, String value, String origin) {
        @Override
        public String toString() {
            return "Clear[…]";
        }
    }

    private final Sealing sealing;
    private final JsonMapper json;
    private final int rounds;

    SecretFile(Sealing sealing, InnerJson json, @Value("${jerboa.passphrase-rounds}") int rounds) {
        this.sealing = sealing;
        this.rounds = Passphrase.allowed(rounds);
        this.json = json.mapper();
    }

    /** Every secret of a job as one text that opens with the passphrase only. */
    public String seal(Job job, String passphrase) {
        List<Clear> all = job.secrets().stream().map(this::clear).toList();
        return Passphrase.seal(json.writeValueAsString(all), passphrase, rounds);
    }

    private Clear clear(Secret s) {
        return new Clear(
                s.device().map(DeviceId::value).orElse(0L),
                s.use(),
                s.name(),
                sealing.open(s.sealed()),
                s.origin());
    }

    /**
     * The secrets as items of a job that is being made.
     *
     * @param next the first number that no item of the file has
     */
    public List<Item> open(String sealed, String passphrase, long next) {
        Clear[] all = json.readValue(Passphrase.open(sealed, passphrase), Clear[].class);
        List<Item> items = new ArrayList<>();
        for (Clear c : Arrays.asList(all)) {
            Map<Field, String> texts = new EnumMap<>(Field.class);
            texts.put(Field.SECRET_FOR, c.device() == 0 ? "" : Long.toString(c.device()));
            texts.put(Field.SECRET_USE, c.use());
            texts.put(Field.SECRET_NAME, c.name());
            texts.put(Field.SEALED, sealing.seal(c.value()));
            texts.put(Field.FINGERPRINT, sealing.fingerprint(c.value()));
            texts.put(Field.SECRET_ORIGIN, c.origin());
            items.add(new Item(new ItemRef(ItemKind.SECRET, next + items.size()), texts));
        }
        return items;
    }
}
