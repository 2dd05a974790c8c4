package app.jerboa.bench;

/** A job file of many devices, as the product itself would write it. */
final class LargeJob {
    private static final int MOST_LINES = 999;

    private LargeJob() {}

    static String file(int devices) {
        StringBuilder file = new StringBuilder(200 * devices);
        file.append("{\"format\":\"jerboa-job\",\"version\":1,")
                .append("\"site\":{\"id\":1,\"name\":\"Large hall\",\"units\":\"m\"},")
                .append(
                        "\"subnets\":[{\"id\":2,\"cidr\":\"10.64.0.0/16\",\"gateway\":\"10.64.255.254\",")
                .append("\"laptopHome\":\"10.64.0.81\"}],\"ranges\":[],\"devices\":[");
        for (int i = 0; i < devices; i++) {
            int host = 1_000 + i;
            file.append(i == 0 ? "" : ",")
                    .append("{\"id\":")
                    .append(10 + i)
                    .append(",\"name\":\"L")
                    .append(i + 1)
                    .append("\",\"profile\":\"ceiling-ptz\",\"mac\":\"\",\"address\":\"10.64.")
                    .append(host / 256)
                    .append('.')
                    .append(host % 256)
                    .append(
                            "\",\"prefix\":16,\"gateway\":\"10.64.255.254\",\"reserved\":false,\"found\":\"\"}");
        }
        return file.append("],\"lines\":[],\"waivers\":[],\"log\":[]}").toString();
    }

    /** Cameras at the addresses of {@link HeadSinks}, each on its line. */
    static String sinks(int cameras) {
        StringBuilder devices = new StringBuilder();
        StringBuilder lines = new StringBuilder();
        for (int i = 0; i < cameras; i++) {
            String address = HeadSinks.address(i);
            device(devices, 10 + i, "L" + (i + 1), "ceiling-ptz", address, 24, "127.44.8.254");
            lines.append(lines.isEmpty() ? "" : ",")
                    .append(
                            "{\"id\":%d,\"number\":%d,\"camera\":%d,\"controlId\":1}"
                                    .formatted(1_000 + i, i + 1, 10 + i));
        }
        return "{\"format\":\"jerboa-job\",\"version\":1,"
                + "\"site\":{\"id\":1,\"name\":\"Many heads\",\"units\":\"m\"},"
                + "\"subnets\":[{\"id\":2,\"cidr\":\"127.44.8.0/24\",\"gateway\":\"127.44.8.254\","
                + "\"laptopHome\":\"127.44.8.250\"}],\"ranges\":[],\"devices\":["
                + devices
                + "],\"lines\":["
                + lines
                + "],\"waivers\":[],\"log\":[]}";
    }

    /**
     * Halls of eight cameras each, with a switch and a mixer of their own, all of them joined.
     *
     * @param halls of ten devices
     */
    static String cabled(int halls) {
        StringBuilder devices = new StringBuilder();
        StringBuilder lines = new StringBuilder();
        StringBuilder runs = new StringBuilder();
        for (int hall = 0; hall < halls; hall++) {
            int first = 10 + hall * 100;
            device(devices, first, "Switch " + (hall + 1), "poe-switch-16");
            device(devices, first + 1, "Mixer " + (hall + 1), "sdi-switcher-8");
            for (int i = 0; i < 8; i++) {
                int camera = first + 2 + i;
                int number = hall * 8 + i + 1;
                device(devices, camera, "L" + number, "ceiling-ptz");
                if (number <= MOST_LINES) {
                    lines.append(lines.isEmpty() ? "" : ",")
                            .append(
                                    "{\"id\":%d,\"number\":%d,\"camera\":%d,\"controlId\":1}"
                                            .formatted(first + 20 + i, number, camera));
                }
                run(runs, first + 40 + i, first, "PORT " + (i + 1), camera, "LAN", "data");
                run(runs, first + 60 + i, camera, "SDI", first + 1, "INPUT " + (i + 1), "coax-rg6");
            }
        }
        return "{\"format\":\"jerboa-job\",\"version\":1,"
                + "\"site\":{\"id\":1,\"name\":\"Many halls\",\"units\":\"m\"},"
                + "\"subnets\":[{\"id\":2,\"cidr\":\"10.64.0.0/16\",\"gateway\":\"10.64.255.254\","
                + "\"laptopHome\":\"10.64.0.81\"}],\"ranges\":[],\"devices\":["
                + devices
                + "],\"lines\":["
                + lines
                + "],\"runs\":["
                + runs
                + "],\"waivers\":[],\"log\":[]}";
    }

    private static void device(StringBuilder to, int id, String name, String profile) {
        device(to, id, name, profile, "", 16, "");
    }

    private static void device(
            StringBuilder to,
            int id,
            String name,
            String profile,
            String address,
            int prefix,
            String gateway) {
        to.append(to.isEmpty() ? "" : ",")
                .append(
                        "{\"id\":%d,\"name\":\"%s\",\"profile\":\"%s\",\"mac\":\"\",\"address\":\"%s\","
                                        .formatted(id, name, profile, address)
                                + "\"prefix\":%d,\"gateway\":\"%s\",\"reserved\":false,\"found\":\"\"}"
                                        .formatted(prefix, gateway));
    }

    private static void run(
            StringBuilder to, int id, int from, String port, int end, String socket, String cable) {
        to.append(to.isEmpty() ? "" : ",")
                .append(
                        "{\"id\":%d,\"from\":%d,\"fromPort\":\"%s\",\"to\":%d,\"toPort\":\"%s\",\"cable\":\"%s\",\"metres\":40}"
                                .formatted(id, from, port, end, socket, cable));
    }
}
