package app.jerboa.bench;

/** A job file of many devices, as the product itself would write it. */
final class LargeJob {
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
}
