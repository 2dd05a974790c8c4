package app.jerboa.core.job.addresses;

import app.jerboa.core.job.Device;
import app.jerboa.core.value.DeviceId;
import java.text.Normalizer;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Names for networks: letters, digits and hyphens, at most 63 (RFC 1123), each once. */
public final class HostNames {
    private static final int LONGEST = 63;

    private HostNames() {}

    /** For every device, from what it is called. */
    public static Map<DeviceId, String> of(List<Device> devices) {
        Map<DeviceId, String> names = new HashMap<>();
        Set<String> taken = new HashSet<>();
        for (Device d : devices) {
            String plain = plain(d.name());
            String name = plain;
            for (int n = 2; !taken.add(name); n++) {
                String suffix = "-" + n;
                name = shortened(plain, LONGEST - suffix.length()) + suffix;
            }
            names.put(d.id(), name);
        }
        return names;
    }

    /** One label; {@code device} for a name with nothing that can stand in one. */
    public static String plain(String name) {
        String ascii =
                Normalizer.normalize(name, Normalizer.Form.NFKD)
                        .replaceAll("\\p{M}+", "")
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("[^a-z0-9]+", "-");
        String label = shortened(ascii.replaceAll("^-+|-+$", ""), LONGEST);
        return label.isEmpty() ? "device" : label;
    }

    private static String shortened(String text, int longest) {
        String cut = text.length() <= longest ? text : text.substring(0, longest);
        return cut.replaceAll("-+$", "");
    }
}
