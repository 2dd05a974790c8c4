package app.jerboa.bench;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** A job with nothing but ceiling cameras, all of them up in the rig at their planned addresses. */
final class CameraHall {
    private final Programs programs;
    private final long job;
    private final List<Long> cameras = new ArrayList<>();
    private final List<Integer> ports = new ArrayList<>();

    CameraHall(Programs programs, HttpUser user, int count) throws InterruptedException {
        this.programs = programs;
        this.job = user.newDemoJob();
        String path = "/api/jobs/" + job;
        List<Long> all = new ArrayList<>();
        user.json(path).get("devices").forEach(d -> all.add(d.get("id").asLong()));
        user.post(path + "/kit/remove", "{\"devices\":" + all + "}").join();
        user.post(path + "/kit", "{\"profile\":\"ceiling-ptz\",\"count\":" + count + "}").join();
        programs.speed(1_000);
        user.get(path + "/rig").join();
        for (JsonNode d : user.json(path).get("devices")) {
            plug(d);
        }
        while (user.get(path + "/rig").join().body().contains("booting")) {
            Thread.sleep(100);
        }
        programs.speed(1);
    }

    private void plug(JsonNode device) throws InterruptedException {
        long id = device.get("id").asLong();
        String address = device.get("address").asString();
        String at = "/halls/" + job + "/devices/" + id;
        programs.rig(
                "PUT",
                at + "/network",
                "{\"address\":\"" + address + "\",\"prefix\":24,\"gateway\":\"\"}");
        programs.rig("PUT", at + "/plug", "{\"plugged\":true}");
        JsonNode reach;
        do {
            Thread.sleep(50);
            reach =
                    BrowserUser.json(
                            programs.rig("GET", "/halls/" + job + "/reach/" + address, ""));
        } while (reach.get("answering").isEmpty());
        cameras.add(id);
        ports.add(reach.get("answering").get(0).get("ports").get("visca-ip").asInt());
    }

    long job() {
        return job;
    }

    List<Long> cameras() {
        return cameras;
    }

    /** Of VISCA over IP, in the order of the cameras. */
    List<Integer> ports() {
        return ports;
    }
}
